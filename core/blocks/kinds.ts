import { z } from 'zod'
import type { BlockKind } from '#core/site/kinds'
import { linkSchema } from '#core/site/link'
import { wordsSchema } from '#core/site/words'
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

const words = { words: wordsSchema }
const link = { link: linkSchema.optional() }
const typeRole = { type: nameSchema.optional() }

/** What each kind of block carries besides its id, name, style and children. */
export const fields = {
  section: z.strictObject({ job: z.enum(JOBS) }),
  group: z.strictObject({ element: z.enum(['div', 'article', 'aside']).optional() }),
  eyebrow: z.strictObject({ ...words, ...typeRole }),
  heading: z.strictObject({ ...words, ...typeRole, level: z.int().min(1).max(6) }),
  text: z.strictObject({ ...words, ...typeRole }),
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
  nav: z.strictObject({ label: z.record(z.string(), z.string().max(200)) }),
  link: z.strictObject({ ...words, ...link, ...typeRole }),
} as const satisfies Record<BlockKind, z.ZodObject>

// The schema of no fields infers as a record of never, which nothing can be intersected with.
type Fields = { [K in BlockKind]: K extends 'divider' ? unknown : z.infer<(typeof fields)[K]> }
export type FieldsOf<K extends BlockKind> = Fields[K]

const FLOW = ['group', 'eyebrow', 'heading', 'text', 'button', 'picture', 'icon', 'list', 'divider', 'nav', 'link'] as const

/** The kinds that each kind may hold. */
export const holds: Record<BlockKind, readonly BlockKind[]> = {
  section: FLOW,
  group: FLOW,
  list: ['item'],
  nav: ['link'],
  eyebrow: [],
  heading: [],
  text: [],
  button: [],
  picture: [],
  icon: [],
  item: [],
  divider: [],
  link: [],
}
