import { z } from 'zod'
import { iconSchema } from '#core/values/icon'
import { colourSchema } from '#core/values/colour'
import { lengthSchema } from '#core/values/length'
import { nameSchema } from '#core/values/name'

/** What a colour may be used for. */
export const USES = ['calls', 'words', 'grounds', 'edges', 'shadows'] as const
export type Use = (typeof USES)[number]

/** The states of what can be pressed or filled in, in the order in which they are shown. */
export const STATES = ['rest', 'hover', 'focus', 'pressed', 'disabled', 'busy'] as const
export type State = (typeof STATES)[number]

/** What may differ from state to state. */
export const stateSchema = z.strictObject({
  fill: colourSchema.optional(),
  ink: colourSchema.optional(),
  edge: colourSchema.optional(),
  /** Colour of the ring around what has the focus. */
  ring: colourSchema.optional(),
  opacity: z.number().min(0).max(1).optional(),
})
export type StateColours = z.infer<typeof stateSchema>

const box = {
  edgeWidth: z.number().min(0).max(12),
  corner: lengthSchema,
  paddingBlock: lengthSchema,
  paddingInline: lengthSchema,
}

export const buttonKindSchema = z.strictObject({
  name: nameSchema,
  /** Type role of its words. */
  type: nameSchema,
  rest: stateSchema,
  hover: stateSchema,
  focus: stateSchema.optional(),
  pressed: stateSchema.optional(),
  disabled: stateSchema.optional(),
  busy: stateSchema.optional(),
  ...box,
  /** Least height of what can be hit, px. */
  hit: z.number().min(24).max(120),
  underline: z.enum(['never', 'hover', 'always']).optional(),
  icon: z.strictObject({ shape: iconSchema, place: z.enum(['before', 'after']) }).optional(),
})
export type ButtonKind = z.infer<typeof buttonKindSchema>

/** How fields, links, lists, cards and tables look. */
export const looksSchema = z.strictObject({
  field: z.strictObject({
    ...box,
    rest: stateSchema,
    hover: stateSchema.optional(),
    focus: stateSchema,
    disabled: stateSchema.optional(),
    hit: z.number().min(24).max(120),
  }),
  link: z.strictObject({
    rest: stateSchema,
    hover: stateSchema,
    pressed: stateSchema.optional(),
    /** Of a link to the page that it stands on. */
    current: stateSchema.optional(),
    underline: z.enum(['never', 'hover', 'always']),
  }),
  list: z.strictObject({
    marker: z.enum(['dot', 'dash', 'tick', 'none']),
    /** Colour of the markers; that of the words, if none is named. */
    ink: colourSchema.optional(),
    gap: lengthSchema,
  }),
  cards: z
    .array(
      z.strictObject({
        name: nameSchema,
        fill: colourSchema.optional(),
        ink: colourSchema.optional(),
        edge: colourSchema.optional(),
        edgeWidth: z.number().min(0).max(12),
        corner: lengthSchema,
        padding: lengthSchema,
        /** Name of a shadow. */
        shadow: nameSchema.optional(),
        /** What differs while the pointer or the focus is in it. */
        hover: stateSchema.optional(),
      }),
    )
    .max(12),
  table: z.strictObject({
    line: colourSchema,
    lineWidth: z.number().min(0).max(12),
    padding: lengthSchema,
    /** Fill of every second row. */
    stripe: colourSchema.optional(),
  }),
})
export type Looks = z.infer<typeof looksSchema>
export type CardLook = Looks['cards'][number]
