import { hexOf } from '#core/colour/contrast'
import type { Colour } from '#core/values/colour'
import { colourToCss } from './css-values'

/**
 * A colour in CSS without a custom property, as one has to be that is itself to move.
 * @param roles the guide's colours; one whose role is not among them is seen through
 */
export function writtenOut(colour: Colour, roles: readonly { role: string; hex: string }[]): string {
  const hex = hexOf(colour, roles)
  return hex === undefined ? 'transparent' : colourToCss({ hex, ...(colour.alpha === undefined ? {} : { alpha: colour.alpha }) })
}
