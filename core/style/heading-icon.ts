import { z } from 'zod'
import { colourSchema } from '#core/values/colour'
import { type Icon, iconSchema } from '#core/values/icon'
import { colourToCss } from './css-values'
import type { Declaration } from './property'
import { shapeUrl } from './shape-url'

/** An icon beside or above words, at a distance that may be less than nought. */
export const headingIconSchema = z.strictObject({
  icon: iconSchema,
  place: z.enum(['before', 'above', 'after']),
  /** Width and height, px. */
  size: z.number().min(8).max(200),
  /** From the icon to the words, px. */
  gap: z.number().min(-100).max(200),
  /** That of the words, if it has none of its own. */
  colour: colourSchema.optional(),
})
export type HeadingIcon = z.infer<typeof headingIconSchema>

/** The lines of an icon where it stands beside words, in units of its field. */
const STROKE = 1.75

const maskOf = (icon: Icon, at: string) =>
  `${shapeUrl(icon, { fill: 'none', stroke: 'black', 'stroke-width': STROKE, 'stroke-linecap': 'round', 'stroke-linejoin': 'round' })} ${at} no-repeat`

/** What the words leave free for an icon at their side. */
export function besideIcon({ place, size, gap }: HeadingIcon): Declaration[] {
  if (place === 'above') return []
  return [
    ['position', 'relative'],
    [place === 'before' ? 'padding-inline-start' : 'padding-inline-end', `${Math.max(0, size + gap)}px`],
  ]
}

/** The icon itself: level with the first line at the side, a line of its own above, where it keeps to the side of the words. */
export function iconToCss({ icon, place, size, gap, colour }: HeadingIcon, align: string | undefined): Declaration[] {
  const common: Declaration[] = [
    ['content', '""'],
    ['height', `${size}px`],
    ['background', colour ? colourToCss(colour) : 'currentcolor'],
  ]
  if (place === 'above') {
    const at = align === 'center' ? '50%' : align === 'end' ? '100%' : '0'
    return [...common, ['display', 'block'], ['margin-block-end', `${gap}px`], ['mask', maskOf(icon, `${at} 0 / ${size}px`)]]
  }
  return [
    ...common,
    ['position', 'absolute'],
    ['width', `${size}px`],
    ['inset-block-start', `calc((1lh - ${size}px) / 2)`],
    [place === 'before' ? 'inset-inline-start' : 'inset-inline-end', '0'],
    ['mask', maskOf(icon, '0 0 / contain')],
  ]
}
