import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import type { StyleValues } from '#core/style/registry'
import { rulesOf } from './block-rules'
import { joinLists, mediaBelow, printRules, type Rule } from './rules'
import { stateRules } from './state-rules'
import { pageSurround } from './surround'

const rule = (selector: string, below: number | null, ...declarations: [string, string][]): Rule => ({
  selector,
  below,
  declarations,
})

describe('printed rules', () => {
  test('run from all widths to the narrowest, whatever their order', () => {
    const css = printRules(
      [rule('.a', 640, ['order', '3']), rule('.a', null, ['order', '1']), rule('.a', 1024, ['order', '2'])],
      'minified',
    )
    expect(css).toBe('.a{order:1}@media(width<1024px){.a{order:2}}@media(width<640px){.a{order:3}}')
  })

  test('with no declarations are not written, nor is their media query', () => {
    expect(printRules([rule('.a', null), rule('.b', 640)], 'minified')).toBe('')
  })

  test('a selector that stands twice with one rule set is written once', () => {
    expect(printRules([rule('.a', null, ['order', '1']), rule('.a', null, ['order', '1'])], 'minified')).toBe('.a{order:1}')
  })

  test('are readable: a declaration a line, media queries indented', () => {
    expect(printRules([rule('.a', null, ['color', 'red'], ['order', '1']), rule('.b', 640, ['order', '2'])])).toBe(
      '.a {\n  color: red;\n  order: 1;\n}\n\n@media (width < 640px) {\n  .b {\n    order: 2;\n  }\n}\n\n',
    )
    expect(mediaBelow(640)).toBe('(width < 640px)')
  })

  test('minified values mean the same', () => {
    const values: [string, string][] = [
      ['clamp(1rem, 0.5rem + 2vw, 2rem)', 'clamp(1rem,.5rem + 2vw,2rem)'],
      ['#ffffff', '#fff'],
      ['#ffd36b', '#ffd36b'],
      ['#11223344', '#11223344'],
      ['1 / -1', '1/-1'],
      ['10.05px', '10.05px'],
      ['-0.015em', '-.015em'],
      ['color-mix(in srgb, var(--ink) 50%, transparent)', 'color-mix(in srgb,var(--ink) 50%,transparent)'],
    ]
    for (const [value, small] of values) expect(printRules([rule('.a', null, ['x', value])], 'minified')).toBe(`.a{x:${small}}`)
  })

  test('no declaration is lost or made up, in either style', () => {
    const declaration = fc.tuple(
      fc.constantFrom('color', 'order', 'top', 'left'),
      fc.integer({ min: 1, max: 99 }).map((n) => `${n}px`),
    )
    const rules = fc.array(
      fc.record({
        selector: fc.constantFrom('.a', '.b', '.c'),
        below: fc.constantFrom(null, 1024, 640),
        declarations: fc.array(declaration, { maxLength: 3 }),
      }),
      { maxLength: 8 },
    )
    fc.assert(
      fc.property(rules, (list) => {
        const wanted = new Set(list.flatMap((one) => one.declarations.map(([name, value]) => `${name}:${value}`)))
        for (const style of ['readable', 'minified'] as const) {
          const css = printRules(list, style).replace(/: /g, ':')
          const found = new Set([...css.matchAll(/(color|order|top|left):(\d+px)/g)].map(([text]) => text))
          expect(found).toEqual(wanted)
          expect(css.split('{').length).toBe(css.split('}').length)
        }
      }),
    )
  })
})

test('what cannot be eased is changed at once: no transition is written for it', () => {
  const site = newSite('T', testIds())
  const eased = (hover: StyleValues) => {
    const block = { ...newBlock('link', testIds()), style: { hover } }
    const rules = rulesOf(block, 'x', pageSurround(site.breakpoints), site.breakpoints, 'unit', undefined, (...given) =>
      stateRules(...given, undefined),
    )
    return printRules(rules, 'minified')
  }
  expect(eased({ underline: true })).not.toContain('transition')
  expect(eased({ underline: true, opacity: 0.5 })).toContain('transition:opacity .15s}')
})

test('rules whose lists go on are one, where the first of them stood', () => {
  const body = (value: string, more: Partial<Rule> = {}): Rule => ({
    selector: 'body',
    below: null,
    declarations: [['animation', value]],
    adds: true,
    ...more,
  })
  const other: Rule = { selector: 'p', below: null, declarations: [['color', 'red']] }
  const joined = joinLists([body('a'), other, body('b'), body('c', { when: 'scrolling' }), body('d', { below: 640 })])
  expect(joined.map((one) => one.declarations[0]![1])).toEqual(['a, b', 'red', 'c', 'd'])
})

test('at-rules are not written under one another’s names', () => {
  const typed = (name: string): Rule => ({ selector: `@property ${name}`, below: null, declarations: [['syntax', '"<number>"']] })
  expect(printRules([typed('--a'), typed('--b'), typed('--a')], 'minified')).toBe(
    '@property --a{syntax:"<number>"}@property --b{syntax:"<number>"}',
  )
})
