import { motionsSchema } from '#core/motion/motion'
import { nameSchema } from '#core/values/name'
import { property } from './property'

/** How a block moves, by itself and from page to page; the CSS of its motion takes rules of its own (`core/render/motion-rules`). */
export const motion = {
  motion: property({
    label: 'Motion',
    column: 'motion',
    schema: motionsSchema,
    applies: 'all',
    css: () => [],
  }),
  /** Blocks of two pages that have one name are the same thing to who goes from the one to the other. */
  kept: property({
    label: 'Kept as',
    column: 'motion',
    schema: nameSchema,
    applies: 'all',
    css: (name) => [['view-transition-name', `kept-${name}`]],
  }),
}
