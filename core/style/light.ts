import type { Colour } from '#core/values/colour'

/** Where light comes from, as an angle in degrees: 0 from above, 90 from the right; and how dark its shadows are, 0 to 1. */
export type Light = { angle: number; strength: number; role: string }
/** One layer of a `box-shadow`, px. */
export type ShadowLayer = { x: number; y: number; blur: number; spread: number; colour: Colour }

const onePlace = (value: number) => Math.round(value * 10) / 10 || 0

/** Layers, each at half the height of the one before: near ones are small and sharp, far ones wide and soft. */
const LAYERS = 3

/**
 * The shadow of something that floats above the page. A layer at distance d falls d away from the light, is blurred
 * over 2d, since the penumbra widens with the distance, and drawn in by d / 4, since what is high hides its own edge.
 * The layers share the strength, so that together they darken by it at most.
 * @param height px above the page, 0 to 100
 */
export function shadowLayers(height: number, light: Light): ShadowLayer[] {
  if (height <= 0) return []
  const radians = (light.angle * Math.PI) / 180
  return Array.from({ length: LAYERS }, (_, i) => {
    const d = height / 2 ** i
    return {
      x: onePlace(-Math.sin(radians) * d),
      y: onePlace(Math.cos(radians) * d),
      blur: onePlace(2 * d),
      spread: onePlace(-d / 4),
      colour: { role: light.role, alpha: Math.round((light.strength / LAYERS) * 1000) / 1000 },
    }
  })
}

/**
 * An elliptical shadow where a thing stands on the ground: the lower half of an ellipse in a strip under its box, as a
 * border image, so that it needs no element of its own and works on images as well.
 * @param height of the strip, px
 */
export const contactShadow = (height: number, colour: string): string =>
  `radial-gradient(50% 100% at 50% 0, ${colour}, transparent) 0 0 100% / 0 0 ${height}px / 0 0 ${height}px`
