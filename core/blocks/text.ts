import { z } from 'zod'
import { token } from '#core/values/length'
import { worded } from './element'
import { typeRole, words } from './fields'
import type { BlockBase, Kind } from './kind'

/** What a text may be besides a paragraph. */
const TEXT_PARTS = ['price', 'term', 'source'] as const

const fields = z.strictObject({
  ...words,
  ...typeRole,
  /** What the words are, where they are more than a paragraph: the price or term of a plan, the source of a quote. */
  part: z.enum(TEXT_PARTS).optional(),
})
export type Text = BlockBase<'text', typeof fields>

/** A paragraph. */
export const text: Kind<Text> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'ink', 'box', 'underline'],
  passage: ({ part }) => part ?? 'text',
  sharedClass: ({ type }) => type ?? '',
  defaults: () => ({ words: {} }),
  style: { spaceAfter: token('space-5') },
  element: (block, context) => worded(block, context, 'p'),
}
