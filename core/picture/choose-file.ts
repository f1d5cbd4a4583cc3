/** Px that a size of a `sizes` attribute comes to in a window: those that we write, px, vw, vh, their sums, and the greatest of some. */
export function pxOfSize(size: string, window: { width: number; height: number }): number {
  const text = size.trim()
  const inner = /^(max|calc)\((.*)\)$/.exec(text)
  if (inner?.[1] === 'max') return Math.max(...splitOutside(inner[2]!).map((one) => pxOfSize(one, window)))
  if (inner) {
    let [sum, sign] = [0, 1]
    for (const term of inner[2]!.split(/\s+/)) {
      const [, own, value, unit] = /^([+-]?)([\d.]+)(px|vw|vh)$/.exec(term) ?? []
      if (value !== undefined) sum += sign * (own === '-' ? -1 : 1) * inPx(Number(value), unit!, window)
      sign = term === '-' ? -1 : 1
    }
    return sum
  }
  const [, value, unit] = /^([\d.]+)(px|vw|vh)$/.exec(text) ?? []
  return value === undefined ? window.width : inPx(Number(value), unit!, window)
}

const inPx = (value: number, unit: string, { width, height }: { width: number; height: number }) =>
  unit === 'vw' ? (value * width) / 100 : unit === 'vh' ? (value * height) / 100 : value

/** A list split at the commas that are in no brackets. */
function splitOutside(text: string): string[] {
  const parts: string[] = []
  let [depth, from] = [0, 0]
  for (let i = 0; i < text.length; i++) {
    if (text[i] === '(') depth++
    else if (text[i] === ')') depth--
    else if (text[i] === ',' && depth === 0) {
      parts.push(text.slice(from, i))
      from = i + 1
    }
  }
  return [...parts, text.slice(from)].map((one) => one.trim())
}

/** Px of the width that a `sizes` attribute says in a window (HTML, 4.8.4.3.9). */
export function sizeIn(sizes: string, window: { width: number; height: number }): number {
  for (const part of splitOutside(sizes)) {
    const [, from, size] = /^\(width >= ([\d.]+)px\)\s+(\S.*)$/.exec(part) ?? []
    if (from === undefined) return pxOfSize(part, window)
    if (window.width >= Number(from)) return pxOfSize(size!, window)
  }
  return window.width
}

/**
 * The width of the file that a browser takes, as Chromium does: at one pixel for each px the smallest that is enough; on
 * denser screens, of the two that are next to what it needs, the nearer by ratio; the largest where all are too small.
 * @param widths from the smallest to the largest, px
 * @param needed pixels of the screen
 */
export function fileWidthFor(widths: readonly number[], needed: number, density = 1): number {
  const after = widths.findIndex((one) => one >= needed)
  if (after < 0) return widths.at(-1)!
  if (after === 0) return widths[0]!
  const [below, above] = [widths[after - 1]!, widths[after]!]
  return density > 1 && Math.sqrt(below * above) > needed ? below : above
}
