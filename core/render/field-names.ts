import type { Block, BlockOf } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'
import { slug, unique } from './names'

/** The label of a field, in the language that it was first written in; empty where it has none. */
export const labelOf = (field: BlockOf<'field'>): string => plainText(Object.values(field.words)[0] ?? []).trim()

const known = new WeakMap<Block, Map<string, string>>()

/**
 * The names under which the fields of a form are sent, by the fields' ids: their labels, or what they take where they
 * have none; a number is put behind a name that stands already. The page and the inbox both go by these.
 */
export function fieldNames(form: Block): Map<string, string> {
  let names = known.get(form)
  if (names) return names
  names = new Map()
  const taken = new Set<string>()
  for (const block of walk(form)) {
    if (block.kind !== 'field') continue
    const label = labelOf(block)
    names.set(block.id, unique(slug(label === '' ? block.input : label), taken))
  }
  if (Object.isFrozen(form)) known.set(form, names)
  return names
}

/** The field of a form that another names as what it is shown by; in a copy of a shared block it may be named as its part. */
export function shownByIn(form: Block, id: string): BlockOf<'field'> | undefined {
  for (const one of walk(form)) if (one.kind === 'field' && (one.id === id || one.sharedPart === id)) return one
  return undefined
}
