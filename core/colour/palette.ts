import { converter, formatHex } from 'culori'

/** A colour of a picture and the share of the picture that it stands for, 0 to 1. */
export type PaletteColour = { hex: string; share: number }

const toOklab = converter('oklab')

/** Bits of each channel that tell colours apart at first; 32 steps a channel. */
const BITS = 5
const SHIFT = 8 - BITS
const BINS = 1 << (3 * BITS)
/** Pixels looked at, at most; of larger pictures every second, third … pixel of the whole. */
const MOST_PIXELS = 3_000_000
const ROUNDS = 24

type Bin = { l: number; a: number; b: number; weight: number }

/** The colours of a picture, gathered in bins: the mean colour of each in OKLab, and its number of pixels. */
function binsOf(pixels: Uint8ClampedArray): Bin[] {
  const count = pixels.length / 4
  const step = Math.max(1, Math.ceil(count / MOST_PIXELS))
  const words = new Uint32Array(pixels.buffer, pixels.byteOffset, count)
  const weight = new Uint32Array(BINS)
  const sums = new Float64Array(BINS * 3)
  for (let i = 0; i < count; i += step) {
    const word = words[i]!
    // Little-endian RGBA. What is more than half transparent has no colour of its own.
    if (word >>> 24 < 128) continue
    const r = word & 255
    const g = (word >>> 8) & 255
    const b = (word >>> 16) & 255
    const bin = ((r >> SHIFT) << (2 * BITS)) | ((g >> SHIFT) << BITS) | (b >> SHIFT)
    weight[bin]!++
    sums[bin * 3]! += r
    sums[bin * 3 + 1]! += g
    sums[bin * 3 + 2]! += b
  }
  const bins: Bin[] = []
  for (let bin = 0; bin < BINS; bin++) {
    const n = weight[bin]!
    if (n === 0) continue
    const channel = (k: number) => sums[bin * 3 + k]! / n / 255
    const { l, a, b } = toOklab({ mode: 'rgb', r: channel(0), g: channel(1), b: channel(2) })
    bins.push({ l, a, b, weight: n })
  }
  return bins
}

const distance = (p: Omit<Bin, 'weight'>, q: Omit<Bin, 'weight'>) => (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2

/** Colours to begin with: the most frequent one, then each time the one that is far from all chosen and not rare. */
function seeds(bins: readonly Bin[], count: number): Omit<Bin, 'weight'>[] {
  const chosen = [bins.reduce((best, one) => (one.weight > best.weight ? one : best))]
  while (chosen.length < count) {
    let best: Bin | undefined
    let most = 0
    for (const one of bins) {
      const score = Math.min(...chosen.map((other) => distance(one, other))) * Math.sqrt(one.weight)
      if (score > most) [best, most] = [one, score]
    }
    if (!best) break
    chosen.push(best)
  }
  return chosen.map(({ l, a, b }) => ({ l, a, b }))
}

/**
 * The colours of a picture, the most frequent first: k-means (Lloyd 1982) in OKLab, whose distances are those that
 * the eye sees. The same pixels always give the same palette.
 * @param pixels RGBA, 8 bits a channel
 * @param count colours wanted, 3 to 10; fewer come where the picture has fewer
 */
export function paletteOf(pixels: Uint8ClampedArray, count: number): PaletteColour[] {
  const bins = binsOf(pixels)
  if (bins.length === 0) return []
  const centres = seeds(bins, Math.min(10, Math.max(3, Math.round(count))))
  const sums = centres.map(() => ({ l: 0, a: 0, b: 0, weight: 0 }))
  for (let round = 0; round < ROUNDS; round++) {
    for (const sum of sums) Object.assign(sum, { l: 0, a: 0, b: 0, weight: 0 })
    for (const one of bins) {
      let nearest = 0
      let least = Infinity
      for (let k = 0; k < centres.length; k++) {
        const d = distance(one, centres[k]!)
        if (d < least) [nearest, least] = [k, d]
      }
      const sum = sums[nearest]!
      sum.l += one.l * one.weight
      sum.a += one.a * one.weight
      sum.b += one.b * one.weight
      sum.weight += one.weight
    }
    let moved = 0
    sums.forEach(({ l, a, b, weight }, k) => {
      if (weight === 0) return
      const next = { l: l / weight, a: a / weight, b: b / weight }
      moved = Math.max(moved, distance(next, centres[k]!))
      centres[k] = next
    })
    if (moved < 1e-8) break
  }
  const all = sums.reduce((sum, one) => sum + one.weight, 0)
  return centres
    .map((centre, k) => ({ hex: formatHex({ mode: 'oklab', ...centre }).toUpperCase(), share: sums[k]!.weight / all }))
    .filter((one) => one.share > 0)
    .sort((a, b) => b.share - a.share || a.hex.localeCompare(b.hex))
}
