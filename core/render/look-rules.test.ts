import { lexer, parse, walk } from 'css-tree'
import { describe, expect, test } from 'vitest'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import { STATES } from '#core/guide/looks'
import type { StyleGuide } from '#core/guide/style-guide'
import { pixels, token } from '#core/values/length'
import { role } from '#core/values/colour'
import { buttonRules, cardRules, fieldRules, linkRules, listRules, stateHex, tableRules } from './look-rules'
import { printRules, type Rule } from './rules'
import { inlineOnce } from './guide-rules'
import { typeDeclarations, typeTokens } from './type-rules'

const css = (rules: readonly Rule[]) => printRules(rules, 'minified')
const [primary] = DEFAULT_GUIDE.buttons
const button = {
  ...primary!,
  name: 'own',
  rest: { fill: role('accent'), ink: role('ink') },
  hover: { fill: role('ink') },
  focus: { ring: role('accent') },
  pressed: { fill: role('line') },
  disabled: { opacity: 0.4 },
  busy: { opacity: 0.7 },
}
const looks = (values: Partial<StyleGuide['looks']>): StyleGuide => ({
  ...DEFAULT_GUIDE,
  looks: { ...DEFAULT_GUIDE.looks, ...values },
})

/** What a parser of CSS finds wrong. */
function problemsIn(text: string): string[] {
  const problems: string[] = []
  const tree = parse(text, { onParseError: (error) => void problems.push(error.message) })
  walk(tree, (node) => {
    if (node.type !== 'Declaration') return
    const { error } = lexer.matchDeclaration(node)
    // The lexer is older than masks without a prefix, `lh`, and text that wraps in balance.
    if (
      error &&
      !/var\(|color-mix|lh\b/.test(error.message) &&
      !/^(mask|text-wrap|hanging-punctuation|padding)$/.test(node.property)
    )
      problems.push(`${node.property}: ${error.message}`)
  })
  return problems
}

describe('a kind of button', () => {
  const text = css(buttonRules(button, DEFAULT_GUIDE, true))

  test('has a rule for each state that it has, as visitors bring them about', () => {
    expect(text).toContain('.button-own:is(:hover,:focus-visible){background:var(--ink)}')
    expect(text).toContain('.button-own:focus-visible{outline:3px solid var(--accent);outline-offset:2px}')
    expect(text).toContain('.button-own:active{background:var(--line)}')
    expect(text).toContain('.button-own:disabled{opacity:.4}')
    expect(text).toContain('.button-own[aria-busy="true"]{opacity:.7}')
    expect(problemsIn(text)).toEqual([])
  })

  test('that is only ever a link is never disabled or busy', () => {
    expect(css(buttonRules(button, DEFAULT_GUIDE, false))).not.toMatch(/disabled|busy/)
  })

  test('shows its states by an attribute in a specimen, and a pressed one is under the pointer too', () => {
    const specimen = css(buttonRules(button, DEFAULT_GUIDE, true, 'specimen'))
    for (const state of STATES.slice(1)) expect(specimen).toContain(`[data-state="${state}"]`)
    expect(specimen).not.toContain(':hover')
    expect(specimen).toContain(':is([data-state="hover"],')
  })

  test('is as high as what must be hit, where its padding alone is not', () => {
    const low = { ...button, paddingBlock: pixels(4), hit: 48 }
    expect(css(buttonRules(low, DEFAULT_GUIDE, false))).toContain('padding:max(4px,(48px - 1lh)/2 - 0px) 24px;min-height:48px')
    const high = { ...button, paddingBlock: pixels(20), hit: 48 }
    expect(css(buttonRules(high, DEFAULT_GUIDE, false))).toContain('padding:20px 24px')
    expect(css(buttonRules(high, DEFAULT_GUIDE, false))).not.toContain('min-height')
  })

  test('without a fill has none, and is underlined as it says', () => {
    const plain = { ...button, rest: { ink: role('link') }, underline: 'hover' as const }
    const rules = css(buttonRules(plain, DEFAULT_GUIDE, false))
    expect(rules).toContain('background:none')
    expect(rules).toMatch(/:is\(:hover,:focus-visible\)\{[^}]*text-decoration:underline/)
  })

  test('has its icon as a mask that takes the colour of the words', () => {
    const shape = { name: 'arrow', nodes: [['path', { d: 'M5 12h14' }]] as [['path', { d: string }]] }
    const after = css(buttonRules({ ...button, icon: { shape, place: 'after' } }, DEFAULT_GUIDE, false))
    expect(after).toContain('.button-own::after{content:""')
    expect(after).toContain('background:currentcolor;mask:url("data:image/svg+xml,')
    expect(after).not.toMatch(/url\("[^"]*[<>#][^"]*"\)/)
    expect(css(buttonRules({ ...button, icon: { shape, place: 'before' } }, DEFAULT_GUIDE, false))).toContain('::before')
    expect(problemsIn(after)).toEqual([])
  })

  test('knows the colours of its states', () => {
    expect(stateHex(button.rest, 'fill', DEFAULT_GUIDE)).toBe('#F2C14E')
    expect(stateHex({}, 'ink', DEFAULT_GUIDE)).toBeUndefined()
  })
})

describe('other looks', () => {
  test('a field has its colours at rest and with the focus', () => {
    const text = css(fieldRules(DEFAULT_GUIDE))
    expect(text).toContain('min-height:48px')
    expect(text).toContain('.field :is(input,textarea):focus-visible{border-color:var(--ink);outline:3px solid var(--link)')
    expect(problemsIn(text)).toEqual([])
  })

  test('a link takes the colour of its words, or its own, and is underlined as it says', () => {
    expect(css(linkRules(DEFAULT_GUIDE))).toBe('a{color:inherit;text-underline-offset:.15em}')
    const own = css(linkRules(looks({ link: { rest: { ink: role('link') }, hover: { ink: role('ink') }, underline: 'hover' } })))
    expect(own).toContain('a{color:var(--link);text-decoration-line:none')
    expect(own).toMatch(/:is\(:hover, ?:focus-visible\)\{color:var\(--ink\);text-decoration-line:underline\}/)
    expect(problemsIn(own)).toEqual([])
  })

  test('a list has its markers and its gap, where there is one', () => {
    const list = (values: object, tags = ['ul', 'ol']) =>
      css(listRules(looks({ list: { marker: 'dot', gap: pixels(0), ...values } }), (tag) => tags.includes(tag)))
    expect(list({})).toBe('ul,ol{padding-inline-start:1.2em}')
    expect(list({}, [])).toBe('')
    expect(list({ marker: 'tick', ink: role('accent'), gap: token('space-2') })).toBe(
      'ul{padding-inline-start:1.2em;list-style-type:"✓  "}ol{padding-inline-start:1.2em}:where(li + li){margin-block-start:var(--space-2)}li::marker{color:var(--accent)}',
    )
    expect(list({ marker: 'none' })).toContain('ul{padding-inline-start:0;list-style-type:none}')
  })

  test('a card and a table are what they say', () => {
    const [plain, raised] = DEFAULT_GUIDE.looks.cards
    expect(css(cardRules(plain!))).toBe('.card-plain{padding:var(--space-5);border-radius:var(--corner-2);background:var(--panel)}')
    expect(css(cardRules(raised!))).toContain('border:1px solid var(--line)')
    expect(css(cardRules(raised!))).toContain('box-shadow:var(--shadow-2)')
    expect(css(tableRules(looks({ table: { line: role('line'), lineWidth: 2, padding: pixels(8), stripe: role('panel') } })))).toBe(
      '.table>*{padding-block:8px;border-block-end:2px solid var(--line)}.table>:nth-child(even){background:var(--panel)}',
    )
  })
})

describe('type', () => {
  test('is set by its custom properties, and what a role adds', () => {
    const type = {
      role: 'figure',
      face: 'text',
      weight: 500,
      size: { step: 1 },
      tracking: 0,
      figures: 'tabular' as const,
      hanging: true,
    }
    expect(typeDeclarations(type)).toEqual([
      ['font', '500 var(--size-figure) / var(--leading) var(--face-text)'],
      ['hanging-punctuation', 'first last'],
      ['font-variant-numeric', 'tabular-nums'],
    ])
    expect(typeDeclarations({ ...type, role: 'body', letterCase: 'small-capitals' }).map(([, value]) => value)).toEqual(
      expect.arrayContaining(['500 var(--size-body) / var(--leading-body) var(--face-text)', 'all-small-caps']),
    )
    const tokens = new Map(typeTokens(DEFAULT_GUIDE))
    expect(tokens.get('--size-body')).toBe('clamp(1rem, 0.9762rem + 0.1015vw, 1.0625rem)')
    expect(tokens.get('--leading-body')).toBe('1.56')
  })
})

describe('custom properties that are read once', () => {
  const rule = (value: string): Rule => ({ selector: 'a', below: null, declarations: [['color', value]] })

  test('are put where they are read, and others stay', () => {
    const { tokens, rules } = inlineOnce(
      [
        ['--a', '#111'],
        ['--b', '#222'],
        ['--c', 'var(--d)'],
        ['--d', '#444'],
      ],
      [rule('var(--a)'), rule('var(--b)'), rule('var(--b)'), rule('color-mix(in srgb, var(--c) 40%, transparent)')],
    )
    expect(tokens).toEqual([['--b', '#222']])
    expect(rules.map((one) => one.declarations[0]![1])).toEqual([
      '#111',
      'var(--b)',
      'var(--b)',
      'color-mix(in srgb, #444 40%, transparent)',
    ])
  })
})

test('fields, links and cards have further states of their looks, and no rules of those that differ in nothing', () => {
  const guide = DEFAULT_GUIDE
  const ink = role('ink')
  const looks = {
    ...guide.looks,
    field: { ...guide.looks.field, hover: { edge: ink }, disabled: { opacity: 0.5 } },
    link: { ...guide.looks.link, pressed: { ink }, current: { ink } },
  }
  const text = css([...fieldRules({ ...guide, looks }), ...linkRules({ ...guide, looks })])
  expect(text).toContain('.field :is(input,textarea):is(:hover,:focus-visible){border-color:var(--ink)}')
  expect(text).toContain(':disabled{opacity:.5}')
  expect(text).toMatch(/:active,[^{]*\[aria-current\]\{color:var\(--ink\)\}/)
  const [card] = guide.looks.cards
  expect(css(cardRules({ ...card!, hover: { fill: ink } }))).toContain(
    `.card-${card!.name}:is(:hover,:focus-within){background:var(--ink)}`,
  )
  expect(css(linkRules(guide))).not.toContain('aria-current')
})
