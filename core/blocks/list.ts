import { z } from 'zod'
import { token } from '#core/values/length'
import { attributes } from './element'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({ ordered: z.boolean() })
export type List = BlockBase<'list', typeof fields> & { children: Block[] }

/** Items under each other, with markers or numbers. */
export const list: Kind<List> = {
  fields,
  traits: ['flow', 'layout', 'columns', 'sides', 'aligned', 'type', 'ink', 'box'],
  holds: ['item'],
  colours: (_, { looks }) => ({ others: [{ colour: looks.list.ink, use: 'words', what: 'markers' }] }),
  defaults: (makeId, newBlock) => ({ ordered: false, children: [newBlock('item', makeId)] }),
  style: { spaceAfter: token('space-5') },
  element: (block, context) => element(block.ordered ? 'ol' : 'ul', attributes(block, context), context.children),
}
