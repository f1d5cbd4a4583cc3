import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { linkSchema } from '#core/values/link'
import { ROLES } from '#core/values/passage-role'
import { wordsSchema } from '#core/values/words'

/** Words that stand on no page. They belong to a page and a section, by id while those exist and by name when not. */
export const unplacedSchema = z.strictObject({
  id: idSchema,
  page: idSchema.optional(),
  pageName: z.string().max(120),
  section: idSchema.optional(),
  sectionName: z.string().max(120),
  /** Of words that wait for a section which does not stand yet: those of one group belong to the same one. */
  group: idSchema.optional(),
  /**
   * What they are read after: a block of their section, or the section itself where they come first; of words that wait
   * for a section, the section before it, or the page. Last, if it is not said.
   */
  after: idSchema.optional(),
  /** The block that had these words last. */
  from: idSchema.optional(),
  role: z.enum(ROLES),
  /**
   * Which of the section's entries (cards, plans, questions …) the words belong to, from 1; 0 for none of them. One
   * that stands between two entries has a number between theirs.
   */
  entry: z.number().min(0).max(1000),
  words: wordsSchema,
  link: linkSchema.optional(),
  /** For an item: true where its list has numbers. */
  ordered: z.literal(true).optional(),
  /** For a call: true where it stands beside the one before it. */
  beside: z.literal(true).optional(),
})
export type Unplaced = z.infer<typeof unplacedSchema>
