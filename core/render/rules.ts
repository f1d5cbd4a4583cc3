import type { Declaration } from '#core/style/property'

/** A CSS rule: one selector at one range of widths. */
export type Rule = {
  selector: string
  /** The rule holds below this viewport width, px; `null` for all widths. */
  below: number | null
  declarations: readonly Declaration[]
  /** What the rule asks of the visitor and of the engine; nothing for most. */
  when?: When
  /** True where its values are lists that go on with those of other such rules of the same selector. */
  adds?: true
  /** Keyframes, by their name, in place of a selector. */
  frames?: readonly { at: string; declarations: readonly Declaration[] }[]
}

/** Where nothing can be hovered (Media Queries 4, 6.2). */
const TOUCH = '(hover: none)'
const TRIGGERS = '(animation-trigger: --a play)'
/**
 * What motion asks for: that it is wanted, on a screen; that the engine knows timelines of the scroll, or triggers as well;
 * or that it knows none, and a script starts what is waiting (`waiting`, the same with timelines `waiting-scrolling`).
 */
const MOVING = {
  wanted: undefined,
  scrolling: '(animation-timeline: view())',
  triggered: TRIGGERS,
  waiting: `not ${TRIGGERS}`,
  'waiting-scrolling': `(animation-timeline: view()) and (not ${TRIGGERS})`,
} as const
/** What else is asked: that nothing can be hovered, that a script runs or none does, or that the page is printed. */
const ASKED = {
  touch: TOUCH,
  scripted: 'screen and (scripting: enabled)',
  unscripted: '(scripting: none)',
  printed: 'print',
} as const
export type When = keyof typeof MOVING | keyof typeof ASKED
const WANTED = 'screen and (prefers-reduced-motion: no-preference)'

/** A media query that ends just under a width, so that no width falls between two ranges even when zoom makes it fractional. */
export const mediaBelow = (below: number): string => `(width < ${below}px)`

const SHORTHANDS: { short: string; parts: readonly [string, string]; same?: true }[] = [
  { short: 'padding-block', parts: ['padding-block-start', 'padding-block-end'] },
  { short: 'margin-block', parts: ['margin-block-start', 'margin-block-end'] },
  { short: 'gap', parts: ['row-gap', 'column-gap'] },
  // Only where all four sides are the same, however the lines run.
  { short: 'padding', parts: ['padding-block', 'padding-inline'], same: true },
]

/** What any property may be set to, and no part of a shorthand alone (CSS Cascading 5, 7.3). */
const WIDE = /^(initial|inherit|unset|revert|revert-layer)$/

/** Joins pairs of longhands into their shorthand. */
function shorten(declarations: readonly Declaration[]): readonly Declaration[] {
  let list = declarations
  for (const { short, parts, same } of SHORTHANDS) {
    const first = list.find(([name]) => name === parts[0])
    const second = list.find(([name]) => name === parts[1])
    if (!first || !second || (same && (first[1] !== second[1] || /\s/.test(first[1])))) continue
    const isOne = first[1] === second[1]
    if (!isOne && (WIDE.test(first[1]) || WIDE.test(second[1]))) continue
    const value = isOne ? first[1] : `${first[1]} ${second[1]}`
    list = list.filter((one) => one !== second).map((one) => (one === first ? ([short, value] as const) : one))
  }
  return list
}

export type Layout = 'readable' | 'minified'

const minified = new Map<string, string>()

/** Takes out what a value does not need. Values are ours, and their strings hold no commas. */
function minifyValue(value: string): string {
  let short = minified.get(value)
  if (short === undefined) {
    // The same values stand on every page; the memory is emptied before it can grow without end.
    if (minified.size > 5000) minified.clear()
    minified.set(value, (short = shorterValue(value)))
  }
  return short
}

const shorterValue = (value: string): string =>
  value
    .replace(/, /g, ',')
    .replace(/ \/ /g, '/')
    .replace(/(^|[^\d.])0\.(\d)/g, '$1.$2')
    .replace(/#([0-9a-f])\1([0-9a-f])\2([0-9a-f])\3(?![0-9a-f])/g, '#$1$2$3')

const minifySelector = (selector: string): string => selector.replaceAll(' > ', '>').replaceAll(', ', ',')

const bodyOf = (rule: Rule, style: Layout, indent: string): string => {
  const list = shorten(rule.declarations)
  if (style === 'minified') return list.map(([name, value]) => `${name}:${minifyValue(value)}`).join(';')
  return list.map(([name, value]) => `${indent}  ${name}: ${value};\n`).join('')
}

/** Writes equal rule sets once, under all their selectors, where the first of them stood; at-rules take no lists of selectors. */
function group(rules: readonly Rule[], style: Layout, indent: string): string {
  const bodies = new Map<string, { body: string; selectors: string[] }>()
  for (const rule of rules) {
    if (rule.declarations.length === 0) continue
    const body = bodyOf(rule, style, indent)
    const key = rule.selector.startsWith('@') ? `${rule.selector}${body}` : body
    const known = bodies.get(key)
    if (!known) bodies.set(key, { body, selectors: [rule.selector] })
    else if (!known.selectors.includes(rule.selector)) known.selectors.push(rule.selector)
  }
  let text = ''
  for (const { body, selectors } of bodies.values()) {
    text +=
      style === 'minified'
        ? `${selectors.map(minifySelector).join(',')}{${body}}`
        : `${indent}${selectors.join(`,\n${indent}`)} {\n${body}${indent}}\n\n`
  }
  return text
}

/** An at-rule around rules that are printed already. */
function wrapped(prelude: string, inner: string, style: Layout): string {
  if (inner === '') return ''
  if (style === 'minified') return `${minifyPrelude(prelude)}{${inner}}`
  return `${prelude} {\n${inner.trimEnd().replace(/^(?=.)/gm, '  ')}\n}\n\n`
}

const minifyPrelude = (prelude: string) => prelude.replace(/: /g, ':')

/** Rules whose lists go on with each other, as one where the first of them stood. */
export function joinLists(rules: readonly Rule[]): Rule[] {
  const joined = new Map<string, Map<string, string[]>>()
  const out: Rule[] = []
  for (const rule of rules) {
    if (!rule.adds) {
      out.push(rule)
      continue
    }
    const key = `${rule.when} ${rule.below} ${rule.selector}`
    let lists = joined.get(key)
    if (!lists) {
      joined.set(key, (lists = new Map()))
      out.push(rule)
    }
    for (const [name, value] of rule.declarations) lists.set(name, [...(lists.get(name) ?? []), value])
  }
  return out.map((rule) => {
    const lists = rule.adds && joined.get(`${rule.when} ${rule.below} ${rule.selector}`)
    return lists ? { ...rule, declarations: [...lists].map(([name, values]) => [name, values.join(', ')]) } : rule
  })
}

/** Keyframes, each name once. */
function printFrames(rules: readonly Rule[], style: Layout): string {
  const known = new Map(rules.flatMap((rule) => (rule.frames ? [[rule.selector, rule.frames] as const] : [])))
  return [...known]
    .map(([name, frames]) =>
      wrapped(
        `@keyframes ${name}`,
        frames.map(({ at, declarations }) => group([{ selector: at, below: null, declarations }], style, '')).join(''),
        style,
      ),
    )
    .join('')
}

/**
 * Prints rules: first those for all widths, then one media query for each breakpoint, widest first; then what moves, under
 * what it asks for, and its keyframes.
 */
export function printRules(rules: readonly Rule[], style: Layout = 'readable'): string {
  const still = rules.filter((rule) => !rule.when && !rule.frames)
  if (still.length === rules.length) return printWidths(rules, style)
  const moving = (Object.keys(MOVING) as (keyof typeof MOVING)[]).map((name) => {
    const inner = printWidths(
      rules.filter((rule) => rule.when === name),
      style,
    )
    const asked = MOVING[name]
    return asked === undefined ? inner : wrapped(`@supports ${asked}`, inner, style)
  })
  const asked = (Object.keys(ASKED) as (keyof typeof ASKED)[]).map((name) =>
    wrapped(
      `@media ${ASKED[name]}`,
      printWidths(
        rules.filter((rule) => rule.when === name),
        style,
      ),
      style,
    ),
  )
  return (
    printWidths(still, style) + asked.join('') + wrapped(`@media ${WANTED}`, moving.join(''), style) + printFrames(rules, style)
  )
}

function printWidths(rules: readonly Rule[], style: Layout): string {
  const widths = [...new Set(rules.map((rule) => rule.below))].sort((a, b) => (b ?? Infinity) - (a ?? Infinity))
  let text = ''
  for (const below of widths) {
    const at = rules.filter((rule) => rule.below === below)
    if (below === null) text += group(at, style, '')
    else {
      const inner = group(at, style, style === 'minified' ? '' : '  ')
      if (inner === '') continue
      text +=
        style === 'minified' ? `@media(width<${below}px){${inner}}` : `@media ${mediaBelow(below)} {\n${inner.trimEnd()}\n}\n\n`
    }
  }
  return text
}
