import { z } from 'zod'
import { worded } from './element'
import { typeRole, words } from './fields'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({ ...words, ...typeRole })
export type Item = BlockBase<'item', typeof fields>

/** One item of a list. */
export const item: Kind<Item> = {
  fields,
  traits: ['sides', 'aligned', 'type', 'ink', 'box'],
  passage: () => 'item',
  sharedClass: ({ type }) => type ?? '',
  defaults: () => ({ words: {} }),
  element: (block, context) => worded(block, context, 'li'),
}
