import { z } from 'zod'
import { token } from '#core/values/length'
import { worded } from './element'
import { typeRole, words } from './fields'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({ ...words, ...typeRole })
export type Quote = BlockBase<'quote', typeof fields>

/** What somebody said. */
export const quote: Kind<Quote> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'ink', 'box'],
  passage: () => 'quote',
  sharedClass: ({ type }) => type ?? 'quote',
  defaults: () => ({ words: {} }),
  style: { spaceAfter: token('space-3') },
  element: (block, context) => worded(block, context, 'blockquote'),
}
