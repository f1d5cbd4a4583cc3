import { hexOfOklch, mostChroma, oklchOf } from './oklch'

/** Turns of the hue, in degrees, that each harmony is made of. */
export const HARMONIES = {
  complementary: [0, 180],
  split: [0, 150, 210],
  analogous: [-30, 0, 30],
  triad: [0, 120, 240],
  'single hue': [0],
} as const
export type Harmony = keyof typeof HARMONIES

/** Lightness of the lightest and the darkest step of a ramp. */
const LIGHTEST = 0.965
const DARKEST = 0.175

/**
 * A ramp of one hue from light to dark in even steps of OKLab lightness, so that each step looks as large as the
 * next. Chroma is that of the colour, as far as sRGB has it, and falls towards both ends.
 * @param steps 2 to 24
 */
export function rampOf(hex: string, steps: number): string[] {
  const { c, h } = oklchOf(hex)
  return Array.from({ length: steps }, (_, i) => {
    const l = LIGHTEST + ((DARKEST - LIGHTEST) * i) / (steps - 1)
    // Very light and very dark colours hold less chroma before they look dyed.
    const taper = Math.min(1, 4 * (1 - l), 4 * l)
    return hexOfOklch({ l, c: Math.min(c * taper, mostChroma(l, h)), h })
  })
}

/** The colours of a harmony with a colour, itself among them; lightness and chroma are its own. */
export function harmonyOf(hex: string, harmony: Harmony): string[] {
  const { l, c, h } = oklchOf(hex)
  return HARMONIES[harmony].map((turn) => (turn === 0 ? hex.toUpperCase() : hexOfOklch({ l, c, h: (h + turn + 360) % 360 })))
}
