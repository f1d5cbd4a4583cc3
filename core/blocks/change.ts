import { z } from 'zod'
import { easingSchema } from '#core/motion/curves'

/** What of a block changes as it gives way to another, each by a time of its own. */
export const TRACKS = ['opacity', 'move', 'scale', 'blur'] as const
export type Track = (typeof TRACKS)[number]

/** Longest change, seconds. */
export const LONGEST = 5
const seconds = z.number().min(0).max(LONGEST)

const timingSchema = z.strictObject({
  /** When it begins, and how long it takes, seconds. */
  start: seconds,
  duration: seconds,
  easing: easingSchema.optional(),
})
export type Timing = z.infer<typeof timingSchema>

const timingsSchema = z.strictObject(
  Object.fromEntries(TRACKS.map((track) => [track, timingSchema.optional()])) as Record<Track, z.ZodOptional<typeof timingSchema>>,
)
export type Timings = z.infer<typeof timingsSchema>

const px = z.number().min(-5000).max(5000)

/** How the blocks of a group follow each other where one of them is shown at a time. */
export const changeSchema = z.strictObject({
  /** How a block looks that is not shown; what is absent is as it is when shown. Offsets and blur in px. */
  away: z.strictObject({
    opacity: z.number().min(0).max(1).optional(),
    across: px.optional(),
    down: px.optional(),
    scale: z.number().min(0).max(10).optional(),
    blur: z.number().min(0).max(100).optional(),
  }),
  /** The times of the block that goes, and of the one that comes. */
  out: timingsSchema,
  in: timingsSchema,
})
export type Change = z.infer<typeof changeSchema>
export type Way = 'out' | 'in'

/** A change to begin with: the one fades, then the other. */
export const FADE: Change = {
  away: { opacity: 0 },
  out: { opacity: { start: 0, duration: 0.2, easing: 'ease-in' } },
  in: { opacity: { start: 0.2, duration: 0.3, easing: 'ease-out' } },
}

/** When the last part of a way has come to its end, seconds. */
export const endOf = (timings: Timings): number =>
  Math.max(0, ...TRACKS.flatMap((track) => (timings[track] ? [timings[track].start + timings[track].duration] : [])))
