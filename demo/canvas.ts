import sharp from 'sharp'
import { seeded } from './noise'

export type Rgb = readonly [number, number, number]

/** Light at a point: x and y run from 0 to 1, `ratio` is width over height. */
export type Shade = (x: number, y: number, ratio: number) => Rgb

export const mix = (a: Rgb, b: Rgb, t: number): Rgb => {
  const k = Math.min(1, Math.max(0, t))
  return [a[0] + (b[0] - a[0]) * k, a[1] + (b[1] - a[1]) * k, a[2] + (b[2] - a[2]) * k]
}
export const add = (a: Rgb, b: Rgb, k: number): Rgb => [a[0] + b[0] * k, a[1] + b[1] * k, a[2] + b[2] * k]

/** Colours along a line, by their places from 0 to 1. */
export function ramp(stops: readonly (readonly [number, Rgb])[], t: number): Rgb {
  for (let i = 1; i < stops.length; i++) {
    const [from, a] = stops[i - 1]!
    const [to, b] = stops[i]!
    if (t <= to) return mix(a, b, (t - from) / (to - from))
  }
  return stops.at(-1)![1]
}

export type Painting = {
  width: number
  height: number
  seed: number
  /** Light, point by point. */
  shade: Shade
  /** Shapes over it, as the inside of an SVG of the picture's size. */
  shapes?: (width: number, height: number, random: () => number) => string
  /** Strength of the grain, levels of 255. */
  grain: number
  /** How much darker the corners are, 0 to 1. */
  vignette: number
}

/** Paints a picture: light, shapes, then grain and uneven light over both, as a camera would give. */
export async function paint({ width, height, seed, shade, shapes, grain, vignette }: Painting): Promise<Buffer> {
  const base = Buffer.alloc(width * height * 3)
  const ratio = width / height
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [r, g, b] = shade(x / width, y / height, ratio)
      base[at++] = Math.min(255, Math.max(0, r))
      base[at++] = Math.min(255, Math.max(0, g))
      base[at++] = Math.min(255, Math.max(0, b))
    }
  }
  const raw = { width, height, channels: 3 as const }
  const random = seeded(seed)
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${shapes?.(width, height, random) ?? ''}</svg>`
  const drawn = await sharp(base, { raw })
    .composite([{ input: Buffer.from(svg) }])
    .removeAlpha()
    .raw()
    .toBuffer()
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const dx = (x / width - 0.5) * 1.15
      const dy = (y / height - 0.5) * 1.15
      const light = 1 - vignette * Math.min(1, (dx * dx + dy * dy) * 2)
      const speck = (random() + random() - 1) * grain
      for (let c = 0; c < 3; c++, at++) drawn[at] = Math.min(255, Math.max(0, drawn[at]! * light + speck))
    }
  }
  return sharp(drawn, { raw }).jpeg({ quality: 80, mozjpeg: true }).toBuffer()
}
