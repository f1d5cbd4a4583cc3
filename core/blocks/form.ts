import type { Element, ElementContent } from 'hast'
import { z } from 'zod'
import { hrefSchema } from '#core/values/href'
import { attributes } from './element'
import { link } from './fields'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'
import { saidIn } from './said'
import { saidOfForms } from './said-forms'

const fields = z.strictObject({
  /** The page that follows when the form has been sent. */
  ...link,
  /** Where an exported form sends its entries; without one they reach the local form inbox alone. */
  sendTo: hrefSchema.optional(),
  /** True for a long one that is filled in part by part, where each group in it is one. */
  parts: z.literal(true).optional(),
})
export type FormBlock = BlockBase<'form', typeof fields> & { children: Block[] }

/** The class of what leads from one part of a form to the next. */
export const PART_STEPS = 'part-steps'

/** The name of a field that visitors never see; whoever fills it in is none. */
export const TRAP = 'leave-empty'

const isPart = (node: ElementContent): node is Element => node.type === 'element' && 'dataPart' in node.properties

/** Where there is no other part to go to, a group has no mark of one. */
const asOne = (children: readonly ElementContent[]): ElementContent[] =>
  children.map((one) => {
    if (!isPart(one)) return one
    const { dataPart: _, ...properties } = one.properties
    return { ...one, properties }
  })

/** The parts of a form, the first of them shown, and after the last what leads from one to the next. */
function inParts(children: readonly ElementContent[], count: number, language: string): ElementContent[] {
  const { next, previous, of } = saidIn(language)
  const button = (text: string) => element('button', { type: 'button' }, [{ type: 'text', value: text }])
  const steps = element('div', { className: [PART_STEPS] }, [
    button(previous),
    element('span', { role: 'status' }, [{ type: 'text', value: of(1, count) }]),
    button(next),
  ])
  const [first, last] = [children.findIndex(isPart), children.findLastIndex(isPart)]
  return children.flatMap((one, i) => {
    const shown = i === first && isPart(one) ? { ...one, properties: { ...one.properties, dataShown: '' } } : one
    return i === last ? [shown, steps] : [shown]
  })
}

/** Fields that are sent together. */
export const form: Kind<FormBlock> = {
  fields,
  traits: ['flow', 'layout', 'columns', 'sides', 'aligned', 'ink', 'box'],
  holds: 'flow',
  defaults: (makeId, newBlock) => ({ children: [newBlock('field', makeId), newBlock('button', makeId)] }),
  element: (block, context) => {
    const { editing, children, language } = context
    const sent = { method: 'post', action: context.action(block) }
    if (editing) return element('form', attributes(block, context, sent), children)
    const said = { dataSaid: JSON.stringify(saidOfForms(language)) }
    const count = children.filter(isPart).length
    const parted = count < 2 ? {} : { dataParts: '' }
    return element('form', attributes(block, context, { ...sent, ...said, ...parted }), [
      ...(count < 2 ? asOne(children) : inParts(children, count, language)),
      // What fills in all that it finds is no visitor.
      element('input', { type: 'text', name: TRAP, hidden: true, tabIndex: -1, autoComplete: ['off'], ariaHidden: 'true' }, []),
    ])
  },
}
