import type { Element, Properties } from 'hast'
import { z } from 'zod'
import { token } from '#core/values/length'
import { plainText } from '#core/values/words'
import { idSchema } from '#core/values/ids'
import { byLanguage } from '#core/values/language'
import { attributes, type ElementContext, spansIn, wordsIn } from './element'
import { words } from './fields'
import { element } from './html'
import type { BlockBase, Kind } from './kind'
import { statesOf } from './guide-colours'

/** What a field of a form takes. */
export const INPUTS = ['text', 'email', 'tel', 'number', 'date', 'area', 'one', 'several', 'list', 'consent'] as const

/** Inputs of which one, or several, are chosen out of what is offered. */
export const CHOICES: ReadonlySet<(typeof INPUTS)[number]> = new Set(['one', 'several', 'list'])

const fields = z.strictObject({
  ...words,
  input: z.enum(INPUTS),
  required: z.boolean(),
  /** True for one that cannot be filled in. */
  disabled: z.literal(true).optional(),
  /** The choice of another field of its form, a box to tick among them, for which alone it is seen; a ticked box is `yes`. */
  shownBy: z.strictObject({ field: idSchema, is: z.string().max(200) }).optional(),
  /** What is offered, where it is chosen from. */
  options: byLanguage(z.array(z.string().trim().min(1).max(200)).max(60)).optional(),
})
export type FieldBlock = BlockBase<'field', typeof fields>

/** What browsers may fill in by themselves, by the kind of input (HTML, 4.10.18.7). */
const AUTOCOMPLETE: Partial<Record<FieldBlock['input'], string>> = { email: 'email', tel: 'tel' }

/** A field under its label, which are its words. */
export const field: Kind<FieldBlock> = {
  fields,
  traits: ['flow', 'sides', 'aligned', 'type', 'ink', 'box'],
  passage: () => 'label',
  typeRole: () => 'label',
  colours: (_, { looks }) => ({
    ...statesOf({
      rest: looks.field.rest,
      hover: looks.field.hover,
      focus: looks.field.focus,
      disabled: looks.field.disabled,
    }),
    apart: true,
  }),
  defaults: () => ({ words: {}, input: 'email', required: true }),
  style: { spaceAfter: token('space-4') },
  element(block, context) {
    if (block.input === 'consent') return consent(block, context)
    if (block.input === 'one' || block.input === 'several') return choices(block, context)
    const shared: Properties = {
      name: context.fieldName(block),
      ...(block.required ? { required: true } : {}),
      ...disabledOf(block),
    }
    const autoComplete = AUTOCOMPLETE[block.input]
    const input =
      block.input === 'area'
        ? element('textarea', { ...shared, rows: 4 }, [])
        : block.input === 'list'
          ? element('select', shared, [
              // Nothing is chosen for the visitor; a list that must be filled in begins with an empty choice (HTML, 4.10.7).
              element('option', { value: '' }, []),
              ...offered(block, context).map((value) => element('option', { value }, [{ type: 'text', value }])),
            ])
          : element('input', { type: block.input, ...shared, ...(autoComplete ? { autoComplete: [autoComplete] } : {}) }, [])
    return element('label', shown(block, context, 'field'), [labelled(block, context, 'span'), input])
  },
}

const disabledOf = ({ disabled }: FieldBlock): Properties => (disabled ? { disabled: true } : {})

/** What is offered, in the language that is printed or the one that it was first written in. */
export const offered = ({ options }: FieldBlock, { language }: Pick<ElementContext, 'language'>): string[] =>
  options?.[language] ?? Object.values(options ?? {})[0] ?? []

const shown = (block: FieldBlock, context: ElementContext, ...classes: string[]): Properties =>
  attributes(
    block,
    { ...context, className: [...classes, ...context.className] },
    block.shownBy && !context.editing ? { dataWhen: '' } : {},
  )

function labelled(block: FieldBlock, context: ElementContext, tag: 'span' | 'legend'): Element {
  const empty = plainText(spansIn(block, context)).trim() === ''
  return element(tag, empty && context.editing ? { dataEmpty: block.name ?? 'label' } : {}, wordsIn(block, context))
}

/** A box to tick, whose label stands beside it. */
const consent = (block: FieldBlock, context: ElementContext): Element =>
  element('label', shown(block, context, 'field', 'choice'), [
    element(
      'input',
      {
        type: 'checkbox',
        name: context.fieldName(block),
        value: 'yes',
        ...(block.required ? { required: true } : {}),
        ...disabledOf(block),
      },
      [],
    ),
    labelled(block, context, 'span'),
  ])

/** One of several, or any of them, under what they are about. Only a choice of one can be wanted (HTML, 4.10.5.3.4). */
const choices = (block: FieldBlock, context: ElementContext): Element => {
  const type = block.input === 'one' ? 'radio' : 'checkbox'
  const wanted = block.required && block.input === 'one' ? { required: true } : {}
  const list = offered(block, context)
  const shownList = list.length === 0 && context.editing ? ['…'] : list
  return element('fieldset', shown(block, context, 'field'), [
    labelled(block, context, 'legend'),
    ...shownList.map((value) =>
      element('label', { className: ['choice'] }, [
        element('input', { type, name: context.fieldName(block), value, ...wanted, ...disabledOf(block) }, []),
        element('span', {}, [{ type: 'text', value }]),
      ]),
    ),
  ])
}
