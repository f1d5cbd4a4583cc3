import { z } from 'zod'
import { colourSchema } from '#core/values/colour'
import { nameSchema } from '#core/values/name'

/** Sides that a block may be covered from, as of a blind that is drawn over it. */
export const CLIP_SIDES = ['top', 'right', 'bottom', 'left'] as const

/** A way of px, or of percent of the block's own width or height, as `translate` takes it. */
const way = z.strictObject({ value: z.number().min(-5000).max(5000), unit: z.enum(['px', '%']) })
export type Way = z.infer<typeof way>

/** Most colours of the guide that one motion changes. */
export const MOST_MOVED = 6

/** How a block looks at one moment of a motion; what is not named is as it is at rest. */
export const poseSchema = z.strictObject({
  /** 0 to 1. */
  opacity: z.number().min(0).max(1).optional(),
  across: way.optional(),
  down: way.optional(),
  /** 1 for its own size. */
  scale: z.number().min(0).max(10).optional(),
  /** Degrees, clockwise. */
  turn: z.number().min(-1080).max(1080).optional(),
  /** px. */
  blur: z.number().min(0).max(100).optional(),
  /** How much of it is covered, in percent, from a side. */
  clip: z.strictObject({ from: z.enum(CLIP_SIDES), share: z.number().min(0).max(100) }).optional(),
  /** Colours of the guide, by role, that are others for the block and all in it: its fills and gradients move with them. */
  colours: z
    .record(nameSchema, colourSchema)
    .refine((colours) => Object.keys(colours).length <= MOST_MOVED, `A motion changes up to ${MOST_MOVED} colours.`)
    .optional(),
})
export type Pose = z.infer<typeof poseSchema>
