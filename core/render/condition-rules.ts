import type { Block, BlockOf } from '#core/blocks/index'
import { fieldNames, shownByIn } from './field-names'
import type { Rule } from './rules'

/** A text as a CSS string, all but letters and figures as escapes, so that nothing in it can be read as CSS (CSS Syntax 3, 4.3.7). */
const quoted = (text: string): string => `"${text.replace(/\W/gu, (sign) => `\\${sign.codePointAt(0)!.toString(16)} `)}"`

/**
 * The rule of a field that is seen only where another of its form has a certain choice. It holds where a script runs, which
 * takes what is not seen out of what is sent; without one all fields are seen.
 */
export function conditionRules(block: Block, selector: string, form: BlockOf<'form'> | undefined): Rule[] {
  if (block.kind !== 'field' || !block.shownBy || !form) return []
  const by = shownByIn(form, block.shownBy.field)
  const name = by && fieldNames(form).get(by.id)
  if (name === undefined) return []
  const [input, is] = [`[name=${quoted(name)}]`, `[value=${quoted(block.shownBy.is)}]`]
  return [
    {
      selector: `form:not(:has(${input}${is}:checked,${input} ${is}:checked)) ${selector}`,
      below: null,
      declarations: [['display', 'none']],
      when: 'scripted',
    },
  ]
}
