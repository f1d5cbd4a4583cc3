import { z } from 'zod'
import { token } from '#core/values/length'
import { worded } from './element'
import { typeRole, words } from './fields'
import { element } from './html'
import type { BlockBase, Kind } from './kind'

/** What a text may be besides a paragraph. */
const TEXT_PARTS = ['price', 'term', 'source'] as const

/** A valid month, date, time, or local date and time (HTML, 2.3.5). */
const TIME =
  /^(\d{4}-(0[1-9]|1[0-2])(-(0[1-9]|[12]\d|3[01])([T ]([01]\d|2[0-3]):[0-5]\d(Z|[+-]\d{2}:\d{2})?)?)?|([01]\d|2[0-3]):[0-5]\d)$/

export const timeSchema = z.string().regex(TIME, 'A time is written as 2026-10-02, 2026-10-02T20:00, 20:00 or 2026-10.')

const fields = z.strictObject({
  ...words,
  ...typeRole,
  /** What the words are, where they are more than a paragraph: the price or term of a plan, the source of a quote. */
  part: z.enum(TEXT_PARTS).optional(),
  /** What a figure shows, below or above it. */
  caption: z.literal(true).optional(),
  /** The moment or day that the words name, as machines read it. */
  time: timeSchema.optional(),
})
export type Text = BlockBase<'text', typeof fields>

/** A paragraph. */
export const text: Kind<Text> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'icon', 'ink', 'box', 'underline'],
  passage: ({ part }) => part ?? 'text',
  sharedClass: ({ type }) => type ?? '',
  defaults: () => ({ words: {} }),
  style: { spaceAfter: token('space-5') },
  element: (block, context) => {
    const made = worded(block, context, block.caption ? 'figcaption' : 'p')
    if (!made || block.time === undefined) return made
    return { ...made, children: [element('time', { dateTime: block.time }, made.children)] }
  },
}
