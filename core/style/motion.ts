import { motionsSchema } from '#core/motion/motion'
import { property } from './property'

/** How a block moves; its CSS takes rules of its own (`core/render/motion-rules`). */
export const motion = {
  motion: property({
    label: 'Motion',
    column: 'motion',
    schema: motionsSchema,
    applies: 'all',
    css: () => [],
  }),
}
