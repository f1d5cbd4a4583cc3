import { hexOfLinear, inSrgb, linearOf, linearOfOklch, luminance, type Oklch, oklchOf } from './oklch'

/** A colour that another must stand out from, and by how much: a contrast ratio, 1 to 21. */
export type Against = { hex: string; ratio: number }

/** Contrast of two relative luminances (WCAG 2.2, 1.4.3). */
export const ratioOf = (a: number, b: number): number => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)

/** Steps of lightness and chroma, coarse and then fine. */
const COARSE = 0.005
const FINE = 0.0005

/** Most that rounding to eight bits changes a relative luminance: half a step where the transfer curve is steepest. */
const ROUNDED = 0.0045

const found = new Map<string, string | undefined>()

type Found = { hex: string; distance: number; l: number; c: number }

/**
 * The colour nearest to another that passes against all given colours: its hue is kept, and of all that pass the one
 * with the least distance in OKLCH is taken, found on a grid of lightness and chroma that is refined once.
 * @returns `undefined` if no colour of that hue passes
 */
export function nearestPassing(hex: string, against: readonly Against[]): string | undefined {
  const key = [hex, ...against.map((one) => `${one.hex} ${one.ratio}`)].join()
  if (found.has(key)) return found.get(key)
  // The same few pairs are asked for again and again while a guide is worked on.
  if (found.size > 1000) found.clear()
  const nearest = searchPassing(hex, against)
  found.set(key, nearest)
  return nearest
}

function searchPassing(hex: string, against: readonly Against[]): string | undefined {
  const start = oklchOf(hex)
  const rivals = against.map((one) => ({ luminance: luminance(linearOf(one.hex)), ratio: one.ratio }))
  const passes = (y: number) => rivals.every((one) => ratioOf(y, one.luminance) >= one.ratio)
  if (passes(luminance(linearOf(hex)))) return hex.toUpperCase()
  // What passes is what will be seen: a colour just short of it may, once it is rounded.
  const mayPass = (y: number) => passes(y) || passes(Math.max(0, y - ROUNDED)) || passes(Math.min(1, y + ROUNDED))

  /** The best of a grid of colours around one, after rounding to eight bits, which is what will be seen. */
  const search = (around: { l: number; c: number }, reach: number, step: number): Found | undefined => {
    let best: Found | undefined
    const steps = Math.ceil(reach / step)
    for (let i = -steps; i <= steps; i++) {
      const l = around.l + i * step
      if (l < 0 || l > 1) continue
      for (let k = -steps; k <= steps; k++) {
        const c = around.c + k * step
        if (c < 0 || c > 0.4) continue
        const distance = Math.hypot(l - start.l, c - start.c)
        if (best && distance >= best.distance) continue
        const colour: Oklch = { l, c, h: start.h }
        const linear = linearOfOklch(colour)
        if (!mayPass(luminance(linear)) || !inSrgb(colour)) continue
        const rounded = hexOfLinear(linear)
        if (passes(luminance(linearOf(rounded)))) best = { hex: rounded, distance, l, c }
      }
    }
    return best
  }
  const rough = search(start, 1, COARSE) ?? blackOrWhite(passes, start)
  return rough && (search(rough, 2 * COARSE, FINE) ?? rough).hex
}

/** Pure black or white, which the grid may step over. */
function blackOrWhite(passes: (y: number) => boolean, start: Oklch): Found | undefined {
  const ends = [
    { hex: '#000000', y: 0, l: 0 },
    { hex: '#FFFFFF', y: 1, l: 1 },
  ].filter((one) => passes(one.y))
  const [end] = ends.sort((a, b) => Math.abs(a.l - start.l) - Math.abs(b.l - start.l))
  return end && { hex: end.hex, distance: Math.hypot(end.l - start.l, start.c), l: end.l, c: 0 }
}
