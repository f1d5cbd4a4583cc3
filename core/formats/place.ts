import { isObject } from '#core/values/object'
import { plainText, type Span } from '#core/values/words'

/** What lists of a document hold, as people call it. */
const WHAT: Record<string, string> = {
  pages: 'page',
  sections: 'section',
  pictures: 'picture',
  fonts: 'font',
  files: 'file',
  shared: 'shared block',
  directions: 'direction',
  unplaced: 'passage',
  board: 'card',
}

const isNamed = (list: string) => Object.hasOwn(WHAT, list)

/** The first words of a block, of a document that may be broken. */
function wordsOf({ words }: Record<string, unknown>): string {
  if (!isObject(words)) return ''
  const [first] = Object.values(words)
  try {
    return plainText(first as Span[]).trim()
  } catch {
    return ''
  }
}

/** What something in a list is called: by its name, its first words, or the number that it has in the list. */
function calledIn(list: string, at: number, one: unknown): string {
  const of = isObject(one) ? one : {}
  const what = isNamed(list) ? WHAT[list] : typeof of.kind === 'string' ? of.kind : 'block'
  const named = [of.name, wordsOf(of), of.job].find((name): name is string => typeof name === 'string' && name !== '')
  return named === undefined ? `the ${what} that is number ${at + 1}` : `the ${what} “${named.slice(0, 60)}”`
}

/**
 * Where something in a document stands, for the person who opened it: pages, sections and blocks by their names, then the rest
 * of the path as it is written.
 */
export function placeIn(document: unknown, path: readonly PropertyKey[]): string {
  const names: string[] = []
  let rest: PropertyKey[] = []
  let value = document
  for (const [n, key] of path.entries()) {
    value = Array.isArray(value) || isObject(value) ? (value as Record<PropertyKey, unknown>)[key] : undefined
    rest.push(key)
    const list = String(path[n - 1])
    if (typeof key !== 'number' || !(isNamed(list) || list === 'children')) continue
    names.push(calledIn(list, key, value))
    rest = []
  }
  const written = rest.length === 0 ? '' : `at "${rest.map(String).join('.')}"`
  return [written, ...names.reverse()].filter((one) => one !== '').join(' of ') || 'at its top'
}
