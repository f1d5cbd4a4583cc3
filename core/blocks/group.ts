import { z } from 'zod'
import { nameSchema } from '#core/values/name'
import type { Element, ElementContent } from 'hast'
import { attributes, labelOf } from './element'
import { label } from './fields'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'

/** The class of a list that looks like any other group, and of an element that has no box. */
export const PLAIN = 'plain'
export const BARE = 'bare'

/** HTML elements that a group may be. */
export const GROUP_ELEMENTS = ['div', 'article', 'aside', 'figure', 'nav', 'ul', 'ol', 'dl', 'address'] as const

const fields = z.strictObject({
  element: z.enum(GROUP_ELEMENTS).optional(),
  ...label,
  /** True for one of the entries of its section: a card, a plan, a question with its answer. */
  entry: z.literal(true).optional(),
  /** Name of one of the guide's cards, or `table` for rows with lines between them. */
  look: nameSchema.optional(),
})
export type Group = BlockBase<'group', typeof fields> & { children: Block[] }

/** Blocks that belong together, as a card. */
export const group: Kind<Group> = {
  fields,
  traits: ['flow', 'layout', 'columns', 'sides', 'aligned', 'ink', 'box', 'layers', 'contact', 'ratio', 'whole'],
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
  element: (block, context) => {
    const tag = block.element ?? 'div'
    const listed = tag === 'ul' || tag === 'ol' ? { ...context, className: [PLAIN, ...context.className] } : context
    return element(tag, attributes(block, listed, labelOf(block, context)), INSIDE[tag]?.(context.children) ?? context.children)
  },
}

const isElement = (node: ElementContent): node is Element => node.type === 'element'
const as = (node: Element, tagName: string): Element => ({ ...node, tagName })

/** What an element asks of what stands in it (HTML, 4.4): a list holds items, a definition list terms and what is said of them. */
const INSIDE: Partial<Record<(typeof GROUP_ELEMENTS)[number], (children: readonly ElementContent[]) => ElementContent[]>> = {
  ul: (children) => children.map(asItem),
  ol: (children) => children.map(asItem),
  dl: (children) => children.map(asTerms),
}

/** A group becomes the item itself; anything else stands in one that has no box. */
const asItem = (node: ElementContent): ElementContent =>
  isElement(node) && node.tagName === 'div' ? as(node, 'li') : element('li', { className: [BARE] }, [node])

/** The first words of a group are its term, and what follows says what it is; other blocks are terms of their own. */
function asTerms(node: ElementContent): ElementContent {
  if (!isElement(node)) return node
  if (node.tagName !== 'div') return element('div', { className: [BARE] }, [as(node, 'dt')])
  let terms = 0
  return {
    ...node,
    children: node.children.map((child) => {
      if (!isElement(child)) return child
      const tag = terms++ === 0 ? 'dt' : 'dd'
      return WORDED.test(child.tagName) ? as(child, tag) : element(tag, {}, [child])
    }),
  }
}
const WORDED = /^(p|h[1-6]|div)$/
