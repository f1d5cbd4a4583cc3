import fc from 'fast-check'
import { expect, test } from 'vitest'
import { printRules, type Rule } from './rules'
import { shareParts } from './share-parts'

const rule = (selector: string, ...declarations: [string, string][]): Rule => ({ selector, below: null, declarations })
const column: [string, string][] = [
  ['display', 'flex'],
  ['flex-direction', 'column'],
]

test('what several begin with is written once, where the first of them stands, if that is shorter', () => {
  const rules = [
    rule('.a', ['color', 'red']),
    ...['.b', '.c', '.d'].map((selector, n) => rule(selector, ...column, ['order', String(n)])),
  ]
  expect(printRules(shareParts(rules), 'minified')).toBe(
    '.a{color:red}.b,.c,.d{display:flex;flex-direction:column}.b{order:0}.c{order:1}.d{order:2}',
  )
  const long = ['.a-block-with-a-long-name', '.another-block-with-a-long-name'].map((selector, n) =>
    rule(selector, ...column, ['order', String(n)]),
  )
  expect(shareParts(long)).toEqual(long)
})

test('rules of other widths, of several classes or of one that stands twice, and pairs of a shorthand are left alone', () => {
  const pair: [string, string][] = [
    ['padding-block-start', '100px'],
    ['padding-block-end', '100px'],
  ]
  const left = [
    ...['.a', '.b', '.c'].map((selector): Rule => ({ ...rule(selector, ...column, ['order', selector]), below: 640 })),
    ...['.a:hover', '.b>img', '.c:focus'].map((selector) => rule(selector, ...column, ['order', selector])),
    ...['.d', '.d', '.d'].map((selector, n) => rule(selector, ...column, ['order', String(n)])),
    ...['.e', '.f', '.g'].map((selector, n) => rule(selector, ...pair, ['order', String(n)])),
  ]
  expect(shareParts(left)).toEqual(left)
})

test('every block has the declarations that it had, and the text is never longer', () => {
  const declarations = fc.uniqueArray(
    fc.tuple(fc.constantFrom('display', 'order', 'color', 'flex', 'top'), fc.constantFrom('a-long-value', 'another', 'x')),
    { selector: ([name]) => name, minLength: 1 },
  )
  const lists = fc.array(declarations, { minLength: 1, maxLength: 12 })
  /** What each class ends with, the later over the earlier. */
  const ends = (rules: readonly Rule[]) => {
    const all: Record<string, Record<string, string>> = {}
    for (const one of rules) Object.assign((all[one.selector] ??= {}), Object.fromEntries(one.declarations))
    return all
  }
  fc.assert(
    fc.property(lists, (all) => {
      const rules = all.map((one, n) => rule(`.block-${n}`, ...one))
      const shared = shareParts(rules)
      expect(ends(shared)).toEqual(ends(rules))
      expect(printRules(shared, 'minified').length).toBeLessThanOrEqual(printRules(rules, 'minified').length)
    }),
  )
})
