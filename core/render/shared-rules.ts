import { colourToCss, lengthToCss, shadowToCss } from '#core/style/css-values'
import type { Declaration } from '#core/style/property'
import type { Breakpoint, Site } from '#core/site/schema'
import type { ButtonKind, TypeRole } from '#core/site/style-guide'
import { fontStack } from '#core/type/families'
import type { Rule } from './rules'

const rule = (selector: string, declarations: Declaration[], below: number | null = null): Rule => ({
  selector,
  below,
  declarations,
})

/** Class of every section. */
export const BAND = 'band'

const typeDeclarations = (type: TypeRole): Declaration[] => [
  ['font', `${type.italic ? 'italic ' : ''}${type.weight} ${lengthToCss(type.size)} / ${type.leading} var(--face-${type.face})`],
  ...(type.tracking === 0 ? [] : [['letter-spacing', `${type.tracking}em`] as const]),
  ...(type.lines && type.lines !== 'wrap' ? [['text-wrap', type.lines] as const] : []),
  ...(type.letterCase === 'capitals' ? [['text-transform', 'uppercase'] as const] : []),
]

function buttonRules(button: ButtonKind, types: readonly TypeRole[]): Rule[] {
  const state = (values: ButtonKind['rest']): Declaration[] => [
    ...(values.ink ? [['color', colourToCss(values.ink)] as const] : []),
    ...(values.fill ? [['background', colourToCss(values.fill)] as const] : []),
    ...(values.edge ? [['border-color', colourToCss(values.edge)] as const] : []),
  ]
  const type = types.find((one) => one.role === button.type)
  const padding = [...new Set([lengthToCss(button.paddingBlock), lengthToCss(button.paddingInline)])].join(' ')
  const selector = `.button-${button.name}`
  return [
    rule(selector, [
      ...(type ? typeDeclarations(type) : []),
      ['display', 'inline-block'],
      ['padding', padding],
      ['border', button.edgeWidth === 0 ? '0' : `${button.edgeWidth}px solid`],
      ['border-radius', lengthToCss(button.corner)],
      ...state(button.rest),
      ['text-align', 'center'],
      ['text-decoration', 'none'],
      ['justify-self', 'start'],
      ['align-self', 'start'],
    ]),
    rule(`${selector}:is(:hover, :focus-visible)`, state(button.hover)),
  ]
}

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

/** Fields stand under their labels, as wide as what holds them, and at least 44 px high to be hit (WCAG 2.2, 2.5.5). */
const fieldRules = (): Rule[] => [
  rule('.field', [
    ['display', 'grid'],
    ['gap', '6px'],
  ]),
  rule('.field :is(input, textarea)', [
    ['min-height', '48px'],
    ['width', '100%'],
    ['padding', '10px 14px'],
    ['border', '1px solid color-mix(in srgb, currentcolor 55%, transparent)'],
    ['border-radius', '4px'],
    ['font', 'inherit'],
    ['color', 'var(--ink)'],
    ['background', 'var(--ground)'],
  ]),
]

/** Custom properties of the style guide. */
export function tokenDeclarations({ guide }: Site): Declaration[] {
  return [
    ...guide.colours.map(({ role, hex }): Declaration => [`--${role}`, hex.toLowerCase()]),
    ...guide.faces.map(({ name, family }): Declaration => [`--face-${name}`, fontStack(family)]),
    ...guide.spaces.map(({ name, size }): Declaration => [`--${name}`, lengthToCss(size)]),
    ...guide.corners.map(({ name, size }): Declaration => [`--${name}`, lengthToCss(size)]),
    ...guide.shadows.map(({ name, layers }): Declaration => [`--${name}`, layers.map(shadowToCss).join(', ')]),
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
  tag('svg', [
    ['display', 'block'],
    ['flex', 'none'],
  ])
  tag('ul', [['padding-inline-start', '1.2em']])
  tag('ol', [['padding-inline-start', '1.2em']])
  tag('hr', [
    ['border', '0'],
    ['border-block-start', '1px solid var(--line)'],
  ])
  tag('a', [
    ['color', 'inherit'],
    ['text-underline-offset', '0.15em'],
  ])
  tag('mark', [
    ['color', 'inherit'],
    ['background', 'color-mix(in srgb, var(--accent) 40%, transparent)'],
  ])
  if (hasClass('field')) rules.push(...fieldRules())
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
        ['column-gap', 'var(--gutter)'],
        ['padding-inline', 'max(var(--margin), (100% - var(--container)) / 2)'],
      ]),
      rule(`:where(.${BAND}) > *`, [['grid-column', '1 / -1']]),
    )
  }
  for (const type of guide.types)
    if (type.role !== 'body' && hasClass(type.role)) rules.push(rule(`.${type.role}`, typeDeclarations(type)))
  // Body is the page's own type; its class is for words inside a block that is set otherwise.
  if (body && hasClass('body')) rules.push(rule('.body', typeDeclarations(body)))
  for (const button of guide.buttons) if (hasClass(`button-${button.name}`)) rules.push(...buttonRules(button, guide.types))
  return [...gridRules(site.breakpoints), ...rules]
}

/** Puts the custom properties into the first rule, which is the root's. */
export function withTokens([root, ...rest]: readonly Rule[], tokens: readonly Declaration[]): Rule[] {
  return [{ ...root!, declarations: [...tokens, ...root!.declarations] }, ...rest]
}

/** The custom properties that some rule or other custom property reads, and no more. */
export function usedTokens(tokens: readonly Declaration[], rules: readonly Rule[]): Declaration[] {
  const kept = new Set<string>()
  const values = new Map(tokens)
  const visit = (text: string): void => {
    if (!text.includes('var(')) return
    for (const [, name] of text.matchAll(/var\((--[\w-]+)\)/g)) {
      if (kept.has(name!) || !values.has(name!)) continue
      kept.add(name!)
      visit(values.get(name!)!)
    }
  }
  for (const rule of rules) for (const [, value] of rule.declarations) visit(value)
  return tokens.filter(([name]) => kept.has(name))
}
