import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { easingSchema } from './curves'
import { poseSchema } from './pose-schema'

/** Most motions of one block that move; those after them rest. A file with many more is read all the same. */
export const MOST_MOTIONS = 8
const MOST_READ = 500
export const MOST_STATES = 8

/** A line of the window, from its top: px, or percent of its height. */
export const LINES = { least: -2000, most: 4000 } as const
export const lineSchema = z.strictObject({ value: z.number().min(LINES.least).max(LINES.most), unit: z.enum(['px', '%']) })
export type Line = z.infer<typeof lineSchema>

export const EDGES = ['top', 'middle', 'bottom'] as const
/** An edge of a box that passes a line of the window. */
const momentSchema = z.strictObject({ edge: z.enum(EDGES), line: lineSchema })
export type Moment = z.infer<typeof momentSchema>

/** Most seconds that a scrub comes after the scroll. */
export const MOST_SMOOTH = 2

/** Seconds of one way of a loop, and of one round of a strip. */
export const LOOPS = { least: 0.5, most: 120 } as const
export const STRIPS = { least: 5, most: 600 } as const

const px = z.number().min(0).max(200_000)
/** What a scrub follows: the block's own box, a section by its id, or px of the page's scroll. */
export const rangeSchema = z.union([
  z.strictObject({ of: z.literal('page'), begins: px, ends: px }),
  z.strictObject({
    of: z.union([z.literal('own'), z.strictObject({ section: idSchema })]),
    begins: momentSchema,
    ends: momentSchema,
  }),
])
export type Range = z.infer<typeof rangeSchema>

const seconds = (most: number) => z.number().min(0).max(most)
/** The side that stays where it is as a block grows or turns; its middle where nothing is said. */
const origin = z.enum(['left', 'right', 'top', 'bottom']).optional()

const timed = {
  origin,
  /** Seconds that it takes, and that it waits before. */
  duration: seconds(20),
  delay: seconds(20).optional(),
  easing: easingSchema.optional(),
  /** Seconds between the blocks inside, one after the other; the block moves as a whole where nothing is said. */
  apart: seconds(5).optional(),
}

export const motionSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('parallax'),
    /** Share of the page's own speed: 1 goes with it, 0 stands still, above 1 overtakes it. */
    speed: z.number().min(-2).max(4),
    /** Where it is in its own place: at the top of the page, or else as its middle passes the window's. */
    rests: z.literal('opening').optional(),
  }),
  z.strictObject({
    kind: z.literal('reveal'),
    /** The section whose top edge passes the line; its own where nothing is said. */
    of: idSchema.optional(),
    line: lineSchema,
    /** True to go back where the line is passed again on the way up; else it plays once. */
    again: z.literal(true).optional(),
    from: poseSchema,
    ...timed,
  }),
  z.strictObject({
    kind: z.literal('scrub'),
    range: rangeSchema,
    /** Poses at shares of the range, 0 to 100, in their order. */
    states: z
      .array(z.strictObject({ at: z.number().min(0).max(100), pose: poseSchema }))
      .min(2)
      .max(MOST_STATES),
    easing: easingSchema.optional(),
    /** Seconds that it takes to catch up with the scroll; with it at once where nothing is said. */
    smooth: z.number().min(0).max(MOST_SMOOTH).optional(),
    origin,
  }),
  z.strictObject({ kind: z.literal('opening'), from: poseSchema, ...timed }),
  z.strictObject({
    kind: z.literal('loop'),
    /** Where it goes from its rest. */
    to: poseSchema,
    /** Seconds of one way. The least keeps what flashes under three times a second (WCAG 2.3.1). */
    duration: z.number().min(LOOPS.least).max(LOOPS.most),
    delay: seconds(20).optional(),
    easing: easingSchema.optional(),
    /** True where it begins anew after each way; else it goes back as it came. */
    anew: z.literal(true).optional(),
    origin,
  }),
  z.strictObject({
    kind: z.literal('strip'),
    /** The side that what is in the block goes out at; it comes in again at the other. */
    to: z.enum(['left', 'right']),
    /** Seconds until all have passed once. */
    duration: z.number().min(STRIPS.least).max(STRIPS.most),
  }),
])
export type Motion = z.infer<typeof motionSchema>
export type MotionKind = Motion['kind']
export type MotionOf<K extends MotionKind> = Extract<Motion, { kind: K }>

/** True for what plays by the clock wherever the page is scrolled to, so it has no place along the scroll. */
export const isTimed = ({ kind }: Motion): boolean => kind === 'opening' || isEndless({ kind })
/** True for what goes on for as long as the page is open, and can be paused. */
export const isEndless = ({ kind }: Pick<Motion, 'kind'>): boolean => kind === 'loop' || kind === 'strip'

/** The motions of a block, in their order; `none` where a narrower range is to have none of a wider one's. */
export const motionsSchema = z.union([
  z.literal('none'),
  z.array(motionSchema).min(1).max(MOST_READ, 'A block takes up to 500 motions; eight of them move.'),
])
export type Motions = z.infer<typeof motionsSchema>

const NONE: readonly Motion[] = []
export const motionsIn = (value: Motions | undefined): readonly Motion[] => (value === undefined || value === 'none' ? NONE : value)
