import { panelRules } from './panel-rules'
import { BAND } from '#core/blocks/section'
import { lengthToCss, shadowToCss } from '#core/style/css-values'
import type { Declaration } from '#core/style/property'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Site } from '#core/site/schema'
import { layersOf } from '#core/guide/shadows'
import { fontStack } from '#core/type/families'
import { SKIP_RULES } from './skip'
import {
  buttonRules,
  cardRules,
  choiceRules,
  fieldRules,
  linkRules,
  listRules,
  plainRules,
  rowsRules,
  tableRules,
} from './look-rules'
import type { Rule } from './rules'
import { partRules } from './part-rules'
import { stripRules } from './strip-rules'
import { slideshowRules, videoRules } from './show-rules'
import { typeDeclarations, typeTokens } from './type-rules'

const rule = (selector: string, declarations: Declaration[], below: number | null = null): Rule => ({
  selector,
  below,
  declarations,
})

/** The grid of one breakpoint as custom properties; at narrower ones only what differs from the one before. */
function gridRules(breakpoints: readonly Breakpoint[]): Rule[] {
  const declared = (one: Breakpoint): Declaration[] => [
    ['--columns', String(one.columns)],
    ['--gutter', `${one.gutter}px`],
    ['--margin', `${one.margin}px`],
    ['--container', `${one.container}px`],
  ]
  return breakpoints.map((one, index) => {
    const before = index === 0 ? [] : declared(breakpoints[index - 1]!)
    return rule(
      ':root',
      declared(one).filter(([, value], i) => before[i]?.[1] !== value),
      one.below,
    )
  })
}

/** Custom properties of the style guide. */
export function tokenDeclarations({ guide, fonts }: Pick<Site, 'guide' | 'fonts'>): Declaration[] {
  return [
    ...guide.colours.map(({ role, hex }): Declaration => [`--${role}`, hex.toLowerCase()]),
    ...guide.faces.map(({ name, family }): Declaration => [`--face-${name}`, fontStack(family, fonts)]),
    ...typeTokens(guide),
    ...guide.spaces.map(({ name, size }): Declaration => [`--${name}`, lengthToCss(size)]),
    ...guide.corners.map(({ name, size }): Declaration => [`--${name}`, lengthToCss(size)]),
    ...guide.shadows.map((one): Declaration => [`--${one.name}`, layersOf(guide, one).map(shadowToCss).join(', ') || 'none']),
  ]
}

/** What a page needs of the shared rules; everything, in the views. */
export type Uses = { classes: ReadonlySet<string>; tags: ReadonlySet<string> } | 'everything'

/** Rules that all pages share: reset, band, type roles and kinds of button, each only where it is used. */
export function sharedRules(site: Site, uses: Uses): Rule[] {
  const has = (tag: string) => uses === 'everything' || uses.tags.has(tag)
  const hasClass = (name: string) => uses === 'everything' || uses.classes.has(name)
  const { guide } = site
  const body = guide.types.find((one) => one.role === 'body')
  const rules: Rule[] = [
    rule('*', [
      ['box-sizing', 'border-box'],
      ['margin', '0'],
    ]),
    rule('html', [['-webkit-text-size-adjust', '100%']]),
    rule('body', [
      ...(body ? typeDeclarations(body) : []),
      ['color', 'var(--ink)'],
      ['background', 'var(--ground)'],
      // Long words are hyphenated by the rules of the page's language; one that still does not fit is broken.
      ['hyphens', 'auto'],
      ['hyphenate-limit-chars', '12 4 4'],
      ['overflow-wrap', 'break-word'],
    ]),
  ]
  const tag = (name: string, declarations: Declaration[]) => has(name) && rules.push(rule(name, declarations))
  tag('img', [
    ['display', 'block'],
    ['width', '100%'],
    ['height', 'auto'],
    ['object-fit', 'cover'],
  ])
  // What only offers files to choose from has no box of its own.
  tag('picture', [['display', 'contents']])
  tag('svg', [
    ['display', 'block'],
    ['flex', 'none'],
  ])
  rules.push(
    ...listRules(guide, has),
    ...plainRules(hasClass),
    ...slideshowRules(hasClass),
    ...stripRules(hasClass),
    ...partRules(hasClass),
    ...videoRules(has, hasClass),
    ...panelRules(has, hasClass),
  )
  tag('hr', [
    ['border', '0'],
    ['border-block-start', '1px solid var(--line)'],
  ])
  if (has('a')) rules.push(...linkRules(guide))
  if (hasClass('skip')) rules.push(...SKIP_RULES)
  tag('mark', [
    ['color', 'inherit'],
    ['background', 'color-mix(in srgb, var(--accent) 40%, transparent)'],
  ])
  if (hasClass('field')) rules.push(...fieldRules(guide, 'live', has('select')))
  if (hasClass('choice')) rules.push(...choiceRules(guide))
  if (hasClass('frame')) {
    rules.push(
      rule('.frame', [
        ['border', '1px solid currentcolor'],
        ['opacity', '0.5'],
      ]),
    )
    rules.push(rule('.frame line', [['stroke', 'currentcolor']]))
    rules.push(
      rule('.frame svg', [
        ['position', 'static'],
        ['height', '100%'],
      ]),
    )
    if (hasClass('frame-open')) rules.push(rule('.frame-open, .frame-open svg', [['min-height', '120px']]))
  }
  if (hasClass(BAND)) {
    rules.push(
      rule(`.${BAND}`, [
        ['display', 'grid'],
        ['grid-template-columns', 'repeat(var(--columns), minmax(0, 1fr))'],
        ['gap', 'var(--gutter)'],
        ['padding-inline', 'max(var(--margin), (100% - var(--container)) / 2)'],
      ]),
      rule(`:where(.${BAND}) > *`, [['grid-column', '1 / -1']]),
    )
  }
  for (const type of guide.types)
    if (type.role !== 'body' && hasClass(type.role)) rules.push(rule(`.${type.role}`, typeDeclarations(type)))
  // Body is the page's own type; its class is for words inside a block that is set otherwise.
  if (body && hasClass('body')) rules.push(rule('.body', typeDeclarations(body)))
  for (const button of guide.buttons)
    if (hasClass(`button-${button.name}`)) rules.push(...buttonRules(button, guide, has('button')))
  for (const card of guide.looks.cards) if (hasClass(`card-${card.name}`)) rules.push(...cardRules(card))
  if (hasClass('table')) rules.push(...tableRules(guide))
  if (hasClass('rows')) rules.push(...rowsRules(guide))
  return [...gridRules(site.breakpoints), ...rules]
}

/** Puts the custom properties into the first rule, which is the root's. */
export function withTokens([root, ...rest]: readonly Rule[], tokens: readonly Declaration[]): Rule[] {
  return [{ ...root!, declarations: [...tokens, ...root!.declarations] }, ...rest]
}

const read = new Map<string, readonly string[]>()

/** The custom properties that a value reads, one for each time that it does. */
function readIn(value: string): readonly string[] {
  let names = read.get(value)
  if (names === undefined) {
    // The same values stand on every page; the memory is emptied before it can grow without end.
    if (read.size > 5000) read.clear()
    names = value.includes('var(') ? [...value.matchAll(/var\((--[\w-]+)\)/g)].map(([, name]) => name!) : []
    read.set(value, names)
  }
  return names
}

/** All that a rule declares, in its keyframes too. */
const declaredIn = ({ declarations, frames }: Rule): readonly Declaration[] =>
  frames ? [...declarations, ...frames.flatMap((one) => one.declarations)] : declarations

/** Puts the values of custom properties that are read once in the place where they are read. */
export function inlineOnce(tokens: readonly Declaration[], rules: readonly Rule[]): { tokens: Declaration[]; rules: Rule[] } {
  const reads = new Map<string, number>()
  const moved = new Set(rules.flatMap(({ frames = [] }) => frames.flatMap((one) => one.declarations.map(([name]) => name))))
  const count = (text: string) => {
    for (const name of readIn(text)) reads.set(name, (reads.get(name) ?? 0) + 1)
  }
  for (const [, value] of tokens) count(value)
  for (const one of rules) for (const [, value] of declaredIn(one)) count(value)
  // One that moves is read as it is at the time.
  const values = new Map(tokens.filter(([name]) => reads.get(name) === 1 && !moved.has(name)))
  const put = (text: string): string =>
    readIn(text).some((name) => values.has(name))
      ? text.replace(/var\((--[\w-]+)\)/g, (all, name: string) => (values.has(name) ? put(values.get(name)!) : all))
      : text
  const putIn = (list: readonly Declaration[]) => list.map(([name, value]): Declaration => [name, put(value)])
  return {
    tokens: tokens.filter(([name]) => !values.has(name)).map(([name, value]): Declaration => [name, put(value)]),
    rules: rules.map((one) =>
      declaredIn(one).some(([, value]) => readIn(value).some((name) => values.has(name)))
        ? {
            ...one,
            declarations: putIn(one.declarations),
            ...(one.frames ? { frames: one.frames.map((each) => ({ ...each, declarations: putIn(each.declarations) })) } : {}),
          }
        : one,
    ),
  }
}

/** The custom properties that some rule or other custom property reads, and no more. */
export function usedTokens(tokens: readonly Declaration[], rules: readonly Rule[]): Declaration[] {
  const kept = new Set<string>()
  const values = new Map(tokens)
  const visit = (text: string): void => {
    for (const name of readIn(text)) {
      if (kept.has(name) || !values.has(name)) continue
      kept.add(name)
      visit(values.get(name)!)
    }
  }
  for (const rule of rules) for (const [, value] of declaredIn(rule)) visit(value)
  return tokens.filter(([name]) => kept.has(name))
}
