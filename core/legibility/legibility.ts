import type { Blend } from '#core/style/blends'
import { layOver } from './blend'
import type { Rect, Size } from './crop'
import type { Rgba } from './rgba'

/** Light of one channel of sRGB, 0 to 255, from 0 to 1 (WCAG 2.2, definition of relative luminance). */
const LIGHT = Float64Array.from({ length: 256 }, (_, value) => {
  const share = value / 255
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
})

/** Relative luminance of a colour, 0 to 1 (WCAG 2.2). */
export const luminance = (r: number, g: number, b: number): number =>
  0.2126 * LIGHT[Math.round(r)]! + 0.7152 * LIGHT[Math.round(g)]! + 0.0722 * LIGHT[Math.round(b)]!

/** Contrast ratio of two luminances, 1 to 21 (WCAG 2.2). */
export const ratioOf = (a: number, b: number): number => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)

/** Words over something: the pixels behind them, where their lines are among those, and how large their letters are. */
export type Words = {
  pixels: Uint8ClampedArray
  /** How many pixels there are, across and down. */
  part: Size
  /** Lines of the words, from the top left corner of the part. */
  lines: readonly Rect[]
  /** Side of the patches that are looked at, px: about as wide as a letter. */
  patch: number
  ink: Rgba
  /** How the words are mixed with what is behind them, where that is not as usual. */
  blend?: Blend | undefined
}

export type Legibility = {
  /** The least contrast, and the patch where it is, from the top left corner of the part. */
  worst: { ratio: number; patch: Rect }
  /** Contrast that 95 of 100 patches have at least. */
  fifth: number
  /** Mean of all patches. */
  mean: number
}

/** The contrast of words with each patch behind them; nothing where they have no line. */
export function legibilityOf({ pixels, part, lines, patch, ink, blend }: Words): Legibility | undefined {
  const ratios: number[] = []
  let worst: Legibility['worst'] | undefined
  for (const line of lines) {
    for (const one of patchesOf(line, patch, part)) {
      const ratio = ratioIn(pixels, part.width, one, ink, blend)
      ratios.push(ratio)
      if (!worst || ratio < worst.ratio) worst = { ratio, patch: one }
    }
  }
  if (!worst) return undefined
  ratios.sort((a, b) => a - b)
  return {
    worst,
    fifth: ratios[Math.floor((ratios.length - 1) * 0.05)]!,
    mean: ratios.reduce((sum, one) => sum + one, 0) / ratios.length,
  }
}

/** Patches of a line, side by side, within the part. */
function* patchesOf(line: Rect, side: number, part: Size): Generator<Rect> {
  const across = Math.max(1, Math.round(line.width / side))
  const down = Math.max(1, Math.round(line.height / side))
  for (let row = 0; row < down; row++) {
    for (let column = 0; column < across; column++) {
      const left = Math.max(0, Math.round(line.left + (column * line.width) / across))
      const top = Math.max(0, Math.round(line.top + (row * line.height) / down))
      const width = Math.min(part.width, Math.round(line.left + ((column + 1) * line.width) / across)) - left
      const height = Math.min(part.height, Math.round(line.top + ((row + 1) * line.height) / down)) - top
      if (width > 0 && height > 0) yield { left, top, width, height }
    }
  }
}

/** Mean light of an ink that is mixed with each pixel of a patch by a blend mode. */
function blendedLight(pixels: Uint8ClampedArray, stride: number, rect: Rect, ink: Rgba, blend: Blend): number {
  const one = new Uint8ClampedArray(4)
  let light = 0
  for (let y = rect.top; y < rect.top + rect.height; y++)
    for (let n = (y * stride + rect.left) * 4, end = n + rect.width * 4; n < end; n += 4) {
      for (let i = 0; i < 3; i++) one[i] = pixels[n + i]!
      layOver(one, 0, ink, blend)
      light += luminance(one[0]!, one[1]!, one[2]!)
    }
  return light / (rect.width * rect.height)
}

/**
 * Contrast of the ink with the mean light of a patch; an ink that lets through is laid over the patch's mean colour first,
 * one with a blend mode over each pixel.
 */
function ratioIn(pixels: Uint8ClampedArray, stride: number, rect: Rect, ink: Rgba, blend: Blend = 'normal'): number {
  const { left, top, width, height } = rect
  let [light, r, g, b] = [0, 0, 0, 0]
  for (let y = top; y < top + height; y++) {
    for (let n = (y * stride + left) * 4, end = n + width * 4; n < end; n += 4) {
      light += luminance(pixels[n]!, pixels[n + 1]!, pixels[n + 2]!)
      r += pixels[n]!
      g += pixels[n + 1]!
      b += pixels[n + 2]!
    }
  }
  const count = width * height
  if (blend !== 'normal') return ratioOf(light / count, blendedLight(pixels, stride, rect, ink, blend))
  const mixed = (own: number, under: number) => own * ink.a + (under / count) * (1 - ink.a)
  return ratioOf(light / count, luminance(mixed(ink.r, r), mixed(ink.g, g), mixed(ink.b, b)))
}

/** Steps in which the strength of a repair is looked for. */
const STEPS = 100

/**
 * The least strength of a repair with which words have a contrast, in hundredths; nothing where none has.
 * @param ratioAt gives the contrast at a strength, 0 to 1; the stronger, the more
 */
export function leastStrength(needed: number, ratioAt: (strength: number) => number): number | undefined {
  const reaches = (step: number) => ratioAt(step / STEPS) >= needed
  if (!reaches(STEPS)) return undefined
  let [low, high] = [0, STEPS]
  if (reaches(0)) return 0
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (reaches(middle)) high = middle
    else low = middle
  }
  return high / STEPS
}

/** Contrast of an ink with each cell of a part, row by row: where words could stand. */
export type Heat = { columns: number; rows: number; ratios: Float32Array }

/** Looks at a part in cells of a side, px. */
export function heatOf({ pixels, part, patch, ink }: Omit<Words, 'lines'>): Heat {
  const columns = Math.max(1, Math.round(part.width / patch))
  const rows = Math.max(1, Math.round(part.height / patch))
  const ratios = new Float32Array(columns * rows)
  const edge = (at: number, of: number, size: number) => Math.round((at * size) / of)
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [left, top] = [edge(column, columns, part.width), edge(row, rows, part.height)]
      const width = edge(column + 1, columns, part.width) - left
      const height = edge(row + 1, rows, part.height) - top
      ratios[row * columns + column] = ratioIn(pixels, part.width, { left, top, width, height }, ink)
    }
  return { columns, rows, ratios }
}
