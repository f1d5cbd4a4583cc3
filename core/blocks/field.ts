import type { Properties } from 'hast'
import { z } from 'zod'
import { token } from '#core/values/length'
import { plainText } from '#core/values/words'
import { attributes, spansIn, wordsIn } from './element'
import { words } from './fields'
import { element } from './html'
import type { BlockBase, Kind } from './kind'
import { statesOf } from './guide-colours'

/** What a field of a form takes. */
export const INPUTS = ['text', 'email', 'tel', 'number', 'date', 'area'] as const

const fields = z.strictObject({ ...words, input: z.enum(INPUTS), required: z.boolean() })
export type FieldBlock = BlockBase<'field', typeof fields>

/** What browsers may fill in by themselves, by the kind of input (HTML, 4.10.18.7). */
const AUTOCOMPLETE: Partial<Record<FieldBlock['input'], string>> = { email: 'email', tel: 'tel' }

/** A field under its label, which are its words. */
export const field: Kind<FieldBlock> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'ink', 'box'],
  passage: () => 'label',
  typeRole: () => 'label',
  colours: (_, { looks }) => ({ ...statesOf({ rest: looks.field.rest, focus: looks.field.focus }), apart: true }),
  defaults: () => ({ words: {}, input: 'email', required: true }),
  style: { spaceAfter: token('space-4') },
  element(block, context) {
    const shared: Properties = { name: context.fieldName(block), ...(block.required ? { required: true } : {}) }
    const autoComplete = AUTOCOMPLETE[block.input]
    const input =
      block.input === 'area'
        ? element('textarea', { ...shared, rows: 4 }, [])
        : element('input', { type: block.input, ...shared, ...(autoComplete ? { autoComplete: [autoComplete] } : {}) }, [])
    const empty = plainText(spansIn(block, context)).trim() === ''
    const label = element('span', empty && context.editing ? { dataEmpty: block.name ?? 'label' } : {}, wordsIn(block, context))
    return element('label', attributes(block, { ...context, className: ['field', ...context.className] }), [label, input])
  },
}
