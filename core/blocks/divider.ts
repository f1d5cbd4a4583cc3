import { z } from 'zod'
import { attributes } from './element'
import { element } from './html'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({})
export type Divider = BlockBase<'divider', typeof fields>

/** A line between blocks. */
export const divider: Kind<Divider> = {
  fields,
  traits: ['flow', 'line'],
  colours: () => ({ others: [{ colour: { role: 'line' }, use: 'edges', what: 'line' }] }),
  defaults: () => ({}),
  element: (block, context) => element('hr', attributes(block, context), []),
}
