import { z } from 'zod'
import type { BlockKind } from '#core/site/kinds'
import { linkSchema } from '#core/site/link'
import { hrefSchema, wordsSchema } from '#core/site/words'
import { idSchema } from '#core/site/ids'
import { nameSchema } from '#core/style/values'
import { iconSchema } from './icon-nodes'

/** Jobs that a section may do on a page. */
export const JOBS = [
  'opening',
  'reasons',
  'problem',
  'story',
  'plan',
  'proof',
  'work',
  'prices',
  'timetable',
  'questions',
  'people',
  'sign-up',
  'contact',
  'closing',
  'header',
  'footer',
] as const

/** What a text may be besides a paragraph. */
export const TEXT_PARTS = ['price', 'term', 'source'] as const
/** What a field of a form takes. */
export const INPUTS = ['text', 'email', 'tel', 'number', 'date', 'area'] as const

const words = { words: wordsSchema }
const link = { link: linkSchema.optional() }
const typeRole = { type: nameSchema.optional() }

/** What each kind of block carries besides its id, name, style and children. */
export const fields = {
  section: z.strictObject({ job: z.enum(JOBS) }),
  group: z.strictObject({
    element: z.enum(['div', 'article', 'aside']).optional(),
    /** True for one of the entries of its section: a card, a plan, a question with its answer. */
    entry: z.literal(true).optional(),
    /** Name of one of the guide's cards, or `table` for rows with lines between them. */
    look: nameSchema.optional(),
  }),
  eyebrow: z.strictObject({ ...words, ...typeRole }),
  heading: z.strictObject({ ...words, ...typeRole, level: z.int().min(1).max(6) }),
  text: z.strictObject({
    ...words,
    ...typeRole,
    /** What the words are, where they are more than a paragraph: the price or term of a plan, the source of a quote. */
    part: z.enum(TEXT_PARTS).optional(),
  }),
  quote: z.strictObject({ ...words, ...typeRole }),
  button: z.strictObject({ ...words, ...link, look: nameSchema }),
  picture: z.strictObject({
    picture: idSchema.optional(),
    /** Alternative text by language; an empty one says that the picture is decoration. */
    alt: z.record(z.string(), z.string().max(1000)).optional(),
    ...link,
  }),
  icon: z.strictObject({ icon: iconSchema, size: z.number().min(8).max(200) }),
  list: z.strictObject({ ordered: z.boolean() }),
  item: z.strictObject({ ...words, ...typeRole }),
  divider: z.strictObject({}),
  nav: z.strictObject({
    label: z.record(z.string(), z.string().max(200)),
    /** True for a nav whose links are the listed pages of the site, in their order and under their names. */
    follows: z.boolean().optional(),
  }),
  link: z.strictObject({ ...words, ...link, ...typeRole }),
  form: z.strictObject({
    /** The page that follows when the form has been sent. */
    ...link,
    /** Where an exported form sends its entries; without one they reach the local form inbox alone. */
    sendTo: hrefSchema.optional(),
  }),
  field: z.strictObject({ ...words, input: z.enum(INPUTS), required: z.boolean() }),
} as const satisfies Record<BlockKind, z.ZodObject>

// The schema of no fields infers as a record of never, which nothing can be intersected with.
type Fields = { [K in BlockKind]: K extends 'divider' ? unknown : z.infer<(typeof fields)[K]> }
export type FieldsOf<K extends BlockKind> = Fields[K]

const FLOW = [
  'group',
  'eyebrow',
  'heading',
  'text',
  'quote',
  'button',
  'picture',
  'icon',
  'list',
  'divider',
  'nav',
  'link',
  'form',
  'field',
] as const

/** The kinds that each kind may hold. */
export const holds: Record<BlockKind, readonly BlockKind[]> = {
  section: FLOW,
  group: FLOW,
  list: ['item'],
  nav: ['link'],
  form: FLOW,
  eyebrow: [],
  heading: [],
  text: [],
  quote: [],
  field: [],
  button: [],
  picture: [],
  icon: [],
  item: [],
  divider: [],
  link: [],
}
