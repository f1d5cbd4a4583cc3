import { z } from 'zod'
import { hrefSchema } from '#core/values/href'
import { attributes } from './element'
import { link } from './fields'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'
import { saidOfForms } from './said-forms'

const fields = z.strictObject({
  /** The page that follows when the form has been sent. */
  ...link,
  /** Where an exported form sends its entries; without one they reach the local form inbox alone. */
  sendTo: hrefSchema.optional(),
})
export type FormBlock = BlockBase<'form', typeof fields> & { children: Block[] }

/** The name of a field that visitors never see; whoever fills it in is none. */
export const TRAP = 'leave-empty'

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
    return element('form', attributes(block, context, { ...sent, dataSaid: JSON.stringify(saidOfForms(language)) }), [
      ...children,
      // What fills in all that it finds is no visitor.
      element('input', { type: 'text', name: TRAP, hidden: true, tabIndex: -1, autoComplete: ['off'], ariaHidden: 'true' }, []),
    ])
  },
}
