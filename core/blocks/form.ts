import { z } from 'zod'
import { hrefSchema } from '#core/values/href'
import { attributes } from './element'
import { link } from './fields'
import { element } from './html'
import type { Block } from './index'
import type { BlockBase, Kind } from './kind'

const fields = z.strictObject({
  /** The page that follows when the form has been sent. */
  ...link,
  /** Where an exported form sends its entries; without one they reach the local form inbox alone. */
  sendTo: hrefSchema.optional(),
})
export type FormBlock = BlockBase<'form', typeof fields> & { children: Block[] }

/** Fields that are sent together. */
export const form: Kind<FormBlock> = {
  fields,
  traits: ['flow', 'layout', 'columns', 'sides', 'aligned', 'ink', 'box'],
  holds: 'flow',
  defaults: (makeId, newBlock) => ({ children: [newBlock('field', makeId), newBlock('button', makeId)] }),
  element: (block, context) =>
    element('form', attributes(block, context, { method: 'post', action: context.action(block) }), context.children),
}
