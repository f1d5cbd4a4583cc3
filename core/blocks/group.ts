import { z } from 'zod'
import { nameSchema } from '#core/values/name'
import { attributes } from './element'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({
  element: z.enum(['div', 'article', 'aside']).optional(),
  /** True for one of the entries of its section: a card, a plan, a question with its answer. */
  entry: z.literal(true).optional(),
  /** Name of one of the guide's cards, or `table` for rows with lines between them. */
  look: nameSchema.optional(),
})
export type Group = BlockBase<'group', typeof fields> & { children: Block[] }

/** Blocks that belong together, as a card. */
export const group: Kind<Group> = {
  fields,
  traits: ['flow', 'layout', 'columns', 'sides', 'aligned', 'ink', 'box', 'gradient', 'contact', 'lift', 'ratio', 'whole'],
  holds: 'flow',
  sharedClass: ({ look }) => (look === undefined ? '' : look === 'table' ? 'table' : `card-${look}`),
  colours: ({ look }, { looks }) => {
    if (look === 'table')
      return {
        others: [
          { colour: looks.table.line, use: 'edges', what: 'lines of the table' },
          { colour: looks.table.stripe, use: 'grounds', what: 'stripes' },
        ],
      }
    const card = looks.cards.find((one) => one.name === look)
    return (
      card && {
        ...(card.fill ? { fill: card.fill } : {}),
        ...(card.ink ? { ink: card.ink } : {}),
        others: [
          { colour: card.fill, use: 'grounds', what: 'card' },
          { colour: card.ink, use: 'words', what: 'card' },
          { colour: card.edge, use: 'edges', what: 'card' },
        ],
      }
    )
  },
  defaults: () => ({ children: [] }),
  element: (block, context) => element(block.element ?? 'div', attributes(block, context), context.children),
}
