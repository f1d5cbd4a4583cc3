import { z } from 'zod'
import { nameSchema } from '#core/values/name'
import type { Element, ElementContent, Properties } from 'hast'
import { stepsSchema } from '#core/motion/steps'
import { changeSchema } from './change'
import { attributes, type ElementContext, labelOf } from './element'
import { label } from './fields'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'
import { isStrip, runOf } from './strip'
import { ONE_SHOWN, OVER, type Panel, panelSchema } from './panel'

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
  /** Where it is seen, if only when it is asked for. */
  panel: panelSchema.optional(),
  /** True for one under its first block that is open to begin with. */
  open: z.literal(true).optional(),
  /** True for a group in which opening one of those closes the others. */
  oneOpen: z.literal(true).optional(),
  /** True for a group that shows one of its blocks at a time, and how they follow each other; at once where nothing is said. */
  oneShown: z.literal(true).optional(),
  change: changeSchema.optional(),
  /** What its blocks are shown by, if not by buttons alone. */
  steps: stepsSchema.optional(),
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
          { colour: card.hover?.fill, use: 'grounds', what: 'card on hover' },
          { colour: card.hover?.ink, use: 'words', what: 'card on hover' },
          { colour: card.hover?.edge, use: 'edges', what: 'card on hover' },
        ],
      }
    )
  },
  defaults: () => ({ children: [] }),
  element: (block, context) => {
    const tag = block.element ?? 'div'
    if (block.panel === 'details') return details(block, context)
    if (block.panel) return over(block, block.panel, context)
    if (block.oneShown) return oneShown(block, context)
    const listed = tag === 'ul' || tag === 'ol' ? { ...context, className: [PLAIN, ...context.className] } : context
    // In the views several are open where several are worked on.
    const children = block.oneOpen && !context.editing ? together(block, context) : context.children
    const inside = INSIDE[tag]?.(children) ?? children
    const passes = isStrip(block) && !context.editing
    return element(
      tag,
      attributes(block, listed, tag === 'div' ? asGroup(labelOf(block, context)) : labelOf(block, context)),
      passes ? [runOf(inside)] : inside,
    )
  },
}

/** A box without a role has no name, so one that is given a name is a group (ARIA 1.2, 5.2.8.6). */
const asGroup = (label: Properties): Properties => (label.ariaLabel === undefined ? label : { role: 'group', ...label })

/** What its first block says, which is pressed, and all that is seen then (HTML, 4.11.1). */
function details(block: Group, context: ElementContext): Element {
  const [first, ...rest] = context.children
  return element('details', attributes(block, context, { ...(block.open ? { open: true } : {}), ...labelOf(block, context) }), [
    // A summary holds words or a heading, and no paragraph (HTML, 4.11.2).
    element('summary', {}, first ? [isElement(first) && first.tagName === 'p' ? as(first, 'span') : first] : []),
    ...rest,
  ])
}

/** Of several that open, one at a time: they have a name in common, which no other group of the page has. */
const together = ({ id }: Group, { children, anchor }: ElementContext): ElementContent[] =>
  children.map((one) =>
    isElement(one) && one.tagName === 'details' ? { ...one, properties: { ...one.properties, name: `${anchor}-${id}` } } : one,
  )

/** What lies over the page; in the views it is laid there from outside, so it is a plain box in them. */
function over(block: Group, panel: Panel, context: ElementContext): Element {
  const dressed = { ...context, className: [OVER, ...context.className] }
  if (context.editing) return element('div', attributes(block, dressed, { dataOver: panel }), context.children)
  const label = labelOf(block, context)
  return panel === 'drop'
    ? element('div', attributes(block, dressed, { popover: 'auto', ...asGroup(label) }), context.children)
    : element('dialog', attributes(block, dressed, { dataOver: panel, ...label }), context.children)
}

/** One of its blocks is shown, the first to begin with. */
const oneShown = (block: Group, context: ElementContext): Element =>
  element(
    'div',
    attributes(
      block,
      { ...context, className: [ONE_SHOWN, ...context.className] },
      {
        ...(block.steps ? { dataLine: `${block.steps.line.value}${block.steps.line.unit}` } : {}),
        ...asGroup(labelOf(block, context)),
      },
    ),
    context.children.map((one, i) =>
      isElement(one) && i === 0 ? { ...one, properties: { ...one.properties, dataShown: '' } } : one,
    ),
  )

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
