import { hexOf } from '#core/colour/contrast'
import type { ButtonKind, CardLook, State, StateColours } from '#core/guide/looks'
import { BARE, PLAIN } from '#core/blocks/group'
import type { StyleGuide } from '#core/guide/style-guide'
import { colourToCss, lengthToCss } from '#core/style/css-values'
import type { Declaration } from '#core/style/property'
import { shapeUrl } from '#core/style/shape-url'
import { PSEUDO } from './pseudo'
import type { Rule } from './rules'
import { typeDeclarations } from './type-rules'

const rule = (selector: string, declarations: Declaration[]): Rule => ({ selector, below: null, declarations })

/** What each state is in CSS; what has the focus of the keyboard has its ring besides. */
const LIVE: Record<State, string> = { ...PSEUDO, rest: '', busy: '[aria-busy="true"]' }

/** States as attributes, so that a specimen can show all of them side by side. */
const SHOWN: Record<State, string> = {
  rest: '',
  hover: ':is([data-state="hover"], [data-state="focus"], [data-state="pressed"])',
  focus: '[data-state="focus"]',
  pressed: '[data-state="pressed"]',
  disabled: '[data-state="disabled"]',
  busy: '[data-state="busy"]',
}

/** How states are selected: as a visitor brings them about, or by an attribute. */
export type StateSelectors = 'live' | 'specimen'
const selectorsOf = (how: StateSelectors) => (how === 'live' ? LIVE : SHOWN)

const stateDeclarations = ({ ink, fill, edge, ring, opacity }: StateColours): Declaration[] => [
  ...(ink ? [['color', colourToCss(ink)] as const] : []),
  ...(fill ? [['background', colourToCss(fill)] as const] : []),
  ...(edge ? [['border-color', colourToCss(edge)] as const] : []),
  ...(ring
    ? ([
        ['outline', `3px solid ${colourToCss(ring)}`],
        ['outline-offset', '2px'],
      ] as const)
    : []),
  ...(opacity === undefined ? [] : [['opacity', String(opacity)] as const]),
]

type Box = Pick<ButtonKind, 'edgeWidth' | 'corner' | 'paddingBlock' | 'paddingInline' | 'hit'>

const boxDeclarations = (box: Box): Declaration[] => {
  const inline = lengthToCss(box.paddingInline)
  const block = lengthToCss(box.paddingBlock)
  // Padding is at least what brings one line and its edges to the height that can be hit.
  const least = `max(${block === '0' ? '0px' : block}, (${box.hit}px - 1lh) / 2 - ${box.edgeWidth}px)`
  const px = 'value' in box.paddingBlock && box.paddingBlock.unit === 'px' ? box.paddingBlock.value : undefined
  const roomy = px !== undefined && 2 * (px + box.edgeWidth) + 16 >= box.hit
  return [
    ['padding', [...new Set([roomy ? block : least, inline])].join(' ')],
    // Edges are drawn in whole device px, so the padding alone may come to a little less.
    ...(roomy ? [] : [['min-height', `${box.hit}px`] as const]),
    ['border', box.edgeWidth === 0 ? '0' : `${box.edgeWidth}px solid`],
    ['border-radius', lengthToCss(box.corner)],
  ]
}

/** A shape as a mask: it takes the colour of the words beside it, and is no part of the text. */
const iconMask = ({ shape }: NonNullable<ButtonKind['icon']>): string =>
  shapeUrl(shape, { fill: 'none', stroke: 'black', 'stroke-width': 1.75, 'stroke-linecap': 'round', 'stroke-linejoin': 'round' })

function iconRule(selector: string, icon: NonNullable<ButtonKind['icon']>): Rule {
  const mask = iconMask(icon)
  return rule(`${selector}::${icon.place}`, [
    ['content', '""'],
    ['display', 'inline-block'],
    ['width', '1.1em'],
    ['height', '1.1em'],
    [icon.place === 'before' ? 'margin-inline-end' : 'margin-inline-start', '0.5em'],
    ['vertical-align', '-0.18em'],
    ['background', 'currentcolor'],
    ['mask', `${mask} center / contain no-repeat`],
  ])
}

/** The states of a kind of button that are worth a rule; only what is no link can be disabled or busy. */
const statesOf = (button: ButtonKind, canRest: boolean): State[] =>
  (canRest ? (['hover', 'focus', 'pressed', 'disabled', 'busy'] as const) : (['hover', 'focus', 'pressed'] as const)).filter(
    (state) => button[state] && Object.keys(button[state]).length > 0,
  )

/** The rules of one kind of button. @param canRest true where some button of the page can be disabled */
export function buttonRules(button: ButtonKind, guide: StyleGuide, canRest: boolean, how: StateSelectors = 'live'): Rule[] {
  const type = guide.types.find((one) => one.role === button.type)
  const selector = `.button-${button.name}`
  const pseudo = selectorsOf(how)
  const underline = button.underline ?? 'never'
  const hover: Declaration[] = underline === 'hover' ? [['text-decoration', 'underline']] : []
  return [
    rule(selector, [
      ...(type ? typeDeclarations(type) : []),
      ['display', 'inline-block'],
      ...boxDeclarations(button),
      ...(button.rest.fill ? [] : [['background', 'none'] as const]),
      ...stateDeclarations(button.rest),
      ['text-align', 'center'],
      ['text-decoration', underline === 'always' ? 'underline' : 'none'],
      ['justify-self', 'start'],
      ['align-self', 'start'],
    ]),
    ...(button.icon ? [iconRule(selector, button.icon)] : []),
    ...statesOf(button, canRest).map((state) =>
      rule(selector + pseudo[state], [...stateDeclarations(button[state]!), ...(state === 'hover' ? hover : [])]),
    ),
  ]
}

/** Fields stand under their labels, as wide as what holds them. */
export function fieldRules({ looks, types }: StyleGuide, how: StateSelectors = 'live', lists = false): Rule[] {
  const { field } = looks
  const label = types.find((one) => one.role === 'label')
  const inputs = `.field :is(input, textarea${lists ? ', select' : ''})`
  return [
    rule('.field', [
      ['display', 'grid'],
      ['gap', '6px'],
    ]),
    ...(label ? [rule('.field > span', typeDeclarations(label))] : []),
    rule(inputs, [
      ['width', '100%'],
      ['min-height', `${field.hit}px`],
      ...boxDeclarations({ ...field, hit: 24 }),
      ['font', 'inherit'],
      ...stateDeclarations(field.rest),
    ]),
    // A problem is told by its words and a line, so that it is seen in any colours.
    rule('.field-problem', [
      ['padding-inline-start', '10px'],
      ['border-inline-start', '3px solid currentcolor'],
      ['font-size', '0.875em'],
      ['font-weight', '600'],
    ]),
    ...(['hover', 'focus', 'disabled'] as const).flatMap((state) =>
      Object.keys(field[state] ?? {}).length > 0 ? [rule(inputs + selectorsOf(how)[state], stateDeclarations(field[state]!))] : [],
    ),
  ]
}

/** What is chosen from: the whole line of a choice is its target, as high as fields are. */
export function choiceRules({ looks: { field }, types }: StyleGuide): Rule[] {
  const label = types.find((one) => one.role === 'label')
  return [
    ...(label ? [rule('.field > legend', typeDeclarations(label))] : []),
    rule('fieldset.field', [
      ['min-width', '0'],
      ['border', '0'],
      ['padding', '0'],
    ]),
    rule('.choice', [
      ['display', 'grid'],
      ['grid-template-columns', 'auto 1fr'],
      ['align-items', 'center'],
      ['gap', '0.6em'],
      ['min-height', `${field.hit}px`],
    ]),
    rule('.choice input', [
      ['width', '1.2em'],
      ['min-height', '1.2em'],
      ['padding', '0'],
      ['accent-color', 'currentcolor'],
    ]),
  ]
}

/** Links in running words and on their own; their colour is that of the words where none is named. */
export function linkRules({ looks }: StyleGuide, how: StateSelectors = 'live'): Rule[] {
  const { link } = looks
  const plain = 'a:not([class*="button-"])'
  const hover: Declaration[] = [
    ...stateDeclarations(link.hover),
    ...(link.underline === 'hover' ? [['text-decoration-line', 'underline'] as const] : []),
  ]
  return [
    rule('a', [
      ['color', link.rest.ink ? colourToCss(link.rest.ink) : 'inherit'],
      ...(link.underline === 'always' ? [] : [['text-decoration-line', 'none'] as const]),
      ['text-underline-offset', '0.15em'],
    ]),
    ...(hover.length > 0 ? [rule(`:where(${plain})${selectorsOf(how).hover}`, hover)] : []),
    ...(link.pressed ? [rule(`:where(${plain})${selectorsOf(how).pressed}`, stateDeclarations(link.pressed))] : []),
    ...(link.current ? [rule(`:where(${plain})[aria-current]`, stateDeclarations(link.current))] : []),
  ]
}

const MARKERS = { dot: 'disc', dash: '"–  "', tick: '"✓  "', none: 'none' } as const

/** Lists: their markers, and the gap from item to item. */
export function listRules({ looks }: StyleGuide, has: (tag: string) => boolean): Rule[] {
  const { list } = looks
  const gap = lengthToCss(list.gap)
  const tags = (['ul', 'ol'] as const).filter(has)
  if (tags.length === 0) return []
  const rules = tags.map((tag) =>
    rule(tag, [
      ['padding-inline-start', list.marker === 'none' && tag === 'ul' ? '0' : '1.2em'],
      ...(tag === 'ul' && list.marker !== 'dot' ? [['list-style-type', MARKERS[list.marker]] as const] : []),
    ]),
  )
  if (gap !== '0') rules.push(rule(':where(li + li)', [['margin-block-start', gap]]))
  if (list.ink) rules.push(rule('li::marker', [['color', colourToCss(list.ink)]]))
  return rules
}

/** Groups that are lists or hold terms look like any other. */
export const plainRules = (hasClass: (name: string) => boolean): Rule[] => [
  ...(hasClass(PLAIN)
    ? [
        rule(`.${PLAIN}`, [
          ['padding-inline-start', '0'],
          ['list-style', 'none'],
        ]),
        rule(`:where(.${PLAIN} > li + li)`, [['margin-block-start', '0']]),
      ]
    : []),
  ...(hasClass(BARE) ? [rule(`.${BARE}`, [['display', 'contents']])] : []),
]

/** The rules of a look of cards, and of what differs while the pointer or the focus is in one. */
export const cardRules = (card: CardLook): Rule[] => [
  ownRule(card),
  ...(card.hover ? [rule(`.card-${card.name}${PSEUDO.hoverInside}`, stateDeclarations(card.hover))] : []),
]

const ownRule = (card: CardLook): Rule =>
  rule(`.card-${card.name}`, [
    ['padding', lengthToCss(card.padding)],
    ...(card.edgeWidth > 0
      ? [['border', `${card.edgeWidth}px solid ${card.edge ? colourToCss(card.edge) : 'currentcolor'}`] as const]
      : []),
    ['border-radius', lengthToCss(card.corner)],
    ...(card.ink ? [['color', colourToCss(card.ink)] as const] : []),
    ...(card.fill ? [['background', colourToCss(card.fill)] as const] : []),
    ...(card.shadow ? [['box-shadow', `var(--${card.shadow})`] as const] : []),
  ])

/** A group of rows, each with a line under it. */
export function tableRules({ looks }: StyleGuide): Rule[] {
  const { table } = looks
  return [
    rule('.table > *', [
      ['padding-block', lengthToCss(table.padding)],
      ['border-block-end', `${table.lineWidth}px solid ${colourToCss(table.line)}`],
    ]),
    ...(table.stripe ? [rule('.table > :nth-child(even)', [['background', colourToCss(table.stripe)]])] : []),
  ]
}

/** A table: its cells as the guide's rows are, figures lined up at their end. */
export function rowsRules({ looks }: StyleGuide): Rule[] {
  const { table } = looks
  return [
    rule('.rows table', [
      ['width', '100%'],
      ['border-collapse', 'collapse'],
      ['text-align', 'start'],
    ]),
    rule('.rows caption', [
      ['padding-block-end', lengthToCss(table.padding)],
      ['text-align', 'start'],
    ]),
    rule('.rows :is(th, td)', [
      ['padding-block', lengthToCss(table.padding)],
      ['padding-inline', '0 1.5em'],
      ['border-block-end', `${table.lineWidth}px solid ${colourToCss(table.line)}`],
      ['text-align', 'inherit'],
      ['vertical-align', 'baseline'],
    ]),
    rule('.rows :is(th, td):last-child', [['padding-inline-end', '0']]),
    rule('.rows .figures', [
      ['text-align', 'end'],
      ['font-variant-numeric', 'tabular-nums'],
      ['white-space', 'nowrap'],
    ]),
    ...(table.stripe ? [rule('.rows tbody tr:nth-child(even)', [['background', colourToCss(table.stripe)]])] : []),
  ]
}

/** The colour of a state as #rrggbb, for the instruments. */
export const stateHex = (look: StateColours, part: 'fill' | 'ink' | 'edge', guide: StyleGuide): string | undefined =>
  look[part] ? hexOf(look[part], guide.colours) : undefined
