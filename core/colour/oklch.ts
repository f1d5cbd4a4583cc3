/** A colour in OKLCH: lightness 0 to 1, chroma from 0, hue in degrees (Ottosson 2020; CSS Color 4, 9). */
export type Oklch = { l: number; c: number; h: number }
/** Linear-light sRGB, 0 to 1 inside the gamut. */
export type LinearRgb = readonly [r: number, g: number, b: number]

const RADIANS = Math.PI / 180
/** How far outside 0 to 1 a channel may be and still round to it. */
const EDGE = 1e-6

/** The transfer function of sRGB, IEC 61966-2-1: from 0 to 1 as stored to linear light. */
const toLinear = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4)
const fromLinear = (v: number): number => (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055)

/** The linear light of a colour written #RRGGBB. */
export function linearOf(hex: string): LinearRgb {
  const n = Number.parseInt(hex.slice(1), 16)
  return [toLinear((n >> 16) / 255), toLinear(((n >> 8) & 255) / 255), toLinear((n & 255) / 255)]
}

/** Linear light as #RRGGBB; what is outside sRGB is cut off, channel by channel. */
export function hexOfLinear(rgb: LinearRgb): string {
  const byte = (v: number) => Math.round(Math.min(1, Math.max(0, fromLinear(Math.max(0, v)))) * 255)
  return `#${rgb.map((v) => byte(v).toString(16).padStart(2, '0')).join('')}`.toUpperCase()
}

/** Relative luminance, 0 to 1 (WCAG 2.2, definitions). */
export const luminance = ([r, g, b]: LinearRgb): number => 0.2126 * r + 0.7152 * g + 0.0722 * b

/** OKLCH from a colour written #RRGGBB. The matrices are those of Ottosson, “A perceptual color space” (2020). */
export function oklchOf(hex: string): Oklch {
  const [r, g, b] = linearOf(hex)
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b)
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b)
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b)
  const a = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s
  const bb = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s
  const h = Math.atan2(bb, a) / RADIANS
  return { l: 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s, c: Math.hypot(a, bb), h: h < 0 ? h + 360 : h }
}

/** Linear sRGB of an OKLCH colour; channels outside 0 to 1 are outside the gamut. */
export function linearOfOklch({ l, c, h }: Oklch): LinearRgb {
  const a = c * Math.cos(h * RADIANS)
  const b = c * Math.sin(h * RADIANS)
  const x = (l + 0.3963377774 * a + 0.2158037573 * b) ** 3
  const y = (l - 0.1055613458 * a - 0.0638541728 * b) ** 3
  const z = (l - 0.0894841775 * a - 1.291485548 * b) ** 3
  return [
    4.0767416621 * x - 3.3077115913 * y + 0.2309699292 * z,
    -1.2684380046 * x + 2.6097574011 * y - 0.3413193965 * z,
    -0.0041960863 * x - 0.7034186147 * y + 1.707614701 * z,
  ]
}

/** True for a colour that a screen of sRGB can show. */
export const inSrgb = (colour: Oklch): boolean => linearOfOklch(colour).every((v) => v >= -EDGE && v <= 1 + EDGE)

/** The greatest chroma that sRGB has at a lightness and a hue, to 0.0001. */
export function mostChroma(l: number, h: number): number {
  let [low, high] = [0, 0.4]
  if (l <= 0 || l >= 1) return 0
  while (high - low > 0.0001) {
    const c = (low + high) / 2
    if (inSrgb({ l, c, h })) low = c
    else high = c
  }
  return low
}

/** A colour brought into sRGB by taking chroma away, lightness and hue kept; and whether that was needed. */
export function intoSrgb(colour: Oklch): { colour: Oklch; mapped: boolean } {
  const l = Math.min(1, Math.max(0, colour.l))
  if (l === colour.l && inSrgb(colour)) return { colour, mapped: false }
  return { colour: { l, c: Math.min(colour.c, mostChroma(l, colour.h)), h: colour.h }, mapped: true }
}

/** An OKLCH colour as #RRGGBB, brought into sRGB first. */
export const hexOfOklch = (colour: Oklch): string => hexOfLinear(linearOfOklch(intoSrgb(colour).colour))

/** Distance of two colours in OKLab (ΔE OK, CSS Color 4, 20.1). */
export function oklchDistance(p: Oklch, q: Oklch): number {
  const [a, b] = [p.h * RADIANS, q.h * RADIANS]
  return Math.hypot(p.l - q.l, p.c * Math.cos(a) - q.c * Math.cos(b), p.c * Math.sin(a) - q.c * Math.sin(b))
}
