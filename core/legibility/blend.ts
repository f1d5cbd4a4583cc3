import type { Blend } from '#core/style/blends'
import { type Rgba, rgbaOf } from './rgba'

/** Three channels of sRGB, 0 to 1. */
type Rgb = readonly [number, number, number]
type Channel = (backdrop: number, source: number) => number

const hardLight: Channel = (b, s) => (s <= 0.5 ? b * 2 * s : b + (2 * s - 1) - b * (2 * s - 1))

/** Blend modes that treat each channel by itself (Compositing and Blending 1, 10.1). */
const SEPARABLE: Partial<Record<Blend, Channel>> = {
  normal: (_, s) => s,
  multiply: (b, s) => b * s,
  screen: (b, s) => b + s - b * s,
  overlay: (b, s) => hardLight(s, b),
  darken: Math.min,
  lighten: Math.max,
  'color-dodge': (b, s) => (b === 0 ? 0 : s === 1 ? 1 : Math.min(1, b / (1 - s))),
  'color-burn': (b, s) => (b === 1 ? 1 : s === 0 ? 0 : 1 - Math.min(1, (1 - b) / s)),
  'hard-light': hardLight,
  'soft-light': (b, s) => {
    if (s <= 0.5) return b - (1 - 2 * s) * b * (1 - b)
    const d = b <= 0.25 ? ((16 * b - 12) * b + 4) * b : Math.sqrt(b)
    return b + (2 * s - 1) * (d - b)
  },
  difference: (b, s) => Math.abs(b - s),
  exclusion: (b, s) => b + s - 2 * b * s,
}

const lum = ([r, g, b]: Rgb) => 0.3 * r + 0.59 * g + 0.11 * b
const sat = (colour: Rgb) => Math.max(...colour) - Math.min(...colour)
const map = ([r, g, b]: Rgb, to: (value: number) => number): Rgb => [to(r), to(g), to(b)]

function clipColour(colour: Rgb): Rgb {
  const light = lum(colour)
  const [least, most] = [Math.min(...colour), Math.max(...colour)]
  let clipped = colour
  if (least < 0) clipped = map(clipped, (value) => light + ((value - light) * light) / (light - least))
  if (most > 1) clipped = map(clipped, (value) => light + ((value - light) * (1 - light)) / (most - light))
  return clipped
}

const setLum = (colour: Rgb, light: number): Rgb => {
  const by = light - lum(colour)
  return clipColour(map(colour, (value) => value + by))
}

/** The same colour with another saturation: its least channel is 0, its greatest that saturation. */
function setSat(colour: Rgb, to: number): Rgb {
  const [least, most] = [Math.min(...colour), Math.max(...colour)]
  return most === least ? [0, 0, 0] : map(colour, (value) => ((value - least) * to) / (most - least))
}

/** Blend modes that mix the whole colours (Compositing and Blending 1, 10.2). */
const WHOLE: Partial<Record<Blend, (backdrop: Rgb, source: Rgb) => Rgb>> = {
  hue: (b, s) => setLum(setSat(s, sat(b)), lum(b)),
  saturation: (b, s) => setLum(setSat(b, sat(s)), lum(b)),
  color: (b, s) => setLum(s, lum(b)),
  luminosity: (b, s) => setLum(b, lum(s)),
}

/** Two colours mixed by a blend mode, without regard to opacity; channels from 0 to 1. */
export function blended(mode: Blend, backdrop: Rgb, source: Rgb): Rgb {
  const channel = SEPARABLE[mode]
  if (channel) return [channel(backdrop[0], source[0]), channel(backdrop[1], source[1]), channel(backdrop[2], source[2])]
  return WHOLE[mode]!(backdrop, source)
}

/**
 * Lays a colour over one opaque pixel, in place: first mixed by the blend mode, then by its opacity (Compositing and
 * Blending 1, 5.1 and 10).
 * @param at of the first of the pixel's four bytes
 */
export function layOver(pixels: Uint8ClampedArray, at: number, source: Rgba, mode: Blend): void {
  const { a } = source
  if (a === 0) return
  if (mode === 'normal') {
    pixels[at] = pixels[at]! + (source.r - pixels[at]!) * a
    pixels[at + 1] = pixels[at + 1]! + (source.g - pixels[at + 1]!) * a
    pixels[at + 2] = pixels[at + 2]! + (source.b - pixels[at + 2]!) * a
    return
  }
  const backdrop: Rgb = [pixels[at]! / 255, pixels[at + 1]! / 255, pixels[at + 2]! / 255]
  const mixed = blended(mode, backdrop, [source.r / 255, source.g / 255, source.b / 255])
  for (let i = 0; i < 3; i++) pixels[at + i] = 255 * (backdrop[i]! + (mixed[i]! - backdrop[i]!) * a)
}

/** What a colour is seen as over another, both as #rrggbb, mixed by a blend mode and let through by its opacity, 0 to 1. */
export function seenOver(over: string, under: string, { mode = 'normal', a = 1 }: { mode?: Blend; a?: number } = {}): string {
  const { r, g, b } = rgbaOf(under)
  const pixel = Uint8ClampedArray.of(r, g, b, 255)
  layOver(pixel, 0, rgbaOf(over, a), mode)
  return `#${[...pixel.slice(0, 3)].map((one) => one.toString(16).padStart(2, '0')).join('')}`.toUpperCase()
}
