import { placementIn, placementToCss } from '#core/grid/placement'
import { reachOf } from '#core/grid/reach'
import { hasBoxOfGuide } from '#core/blocks/applies'
import { type Block, type BlockOf, hasTrait } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { isStrip } from '#core/blocks/strip'
import { isContainer } from '#core/blocks/tree'
import { colourToCss, lengthToCss, type ViewportUnit } from '#core/style/css-values'
import { valuesByRange } from '#core/style/cascade'
import { edgeToCss } from '#core/style/edge-shapes'
import { iconToCss } from '#core/style/heading-icon'
import { EDGE_SIDES } from '#core/style/surface'
import { cropPosition } from '#core/picture/crop-position'
import { turned } from '#core/picture/picture'
import type { Declaration, Setting } from '#core/style/property'
import { type PropertyName, propertyOf, type StyleValues } from '#core/style/registry'
import { addAnchoring, movesBehind, shadesAround } from './anchoring'
import { keepLast } from './declarations'
import { addDuotone, addPast, isBoxed, OF_IMAGE, type PicturesPrinted, scrimOf, shadeOf } from './picture-parts'
import { reachToCss } from './reach-rules'
import type { Rule } from './rules'
import { settingAt, type Surround } from './surround'
import { pixels } from '#core/values/length'

/**
 * What a block declares at one range of widths: on itself, on its image, on what it holds, on its scrim, its icon and the
 * dark tone of its two; a section on the shapes of its edges; a table whose rows are stacked also on those, on its head and on the
 * labels that stand for it.
 */
const PARTS = ['own', 'image', 'children', 'scrim', 'icon', 'shade', 'top', 'bottom', 'rows', 'head', 'labels'] as const
type Parts = Record<(typeof PARTS)[number], Declaration[]>

const NONE: Declaration[] = []
const UNSTACKED = { rows: NONE, head: NONE, labels: NONE }
/** Each row as a block of its own: the head is kept for those who hear the page, and seen as a label in each cell. */
const STACKED: Pick<Parts, 'rows' | 'head' | 'labels'> = {
  rows: [
    ['display', 'block'],
    ['text-align', 'start'],
  ],
  head: [
    ['position', 'absolute'],
    ['clip-path', 'inset(50%)'],
  ],
  labels: [
    ['content', 'attr(data-label) ": "'],
    ['font-weight', '600'],
  ],
}
const FULL_ROW: Declaration[] = [['grid-column', '1 / -1']]
const ONE_CELL: Declaration[] = [['grid-area', '1 / 1']]
const FREE: Declaration = ['grid-area', 'auto']

/** Rows of a grid stand as far apart as its columns, unless something else is said of them; items of a list, as its look says. */
function addEvenRows(
  own: Declaration[],
  block: Block,
  { viewportUnit }: Setting,
  { gap, rowGap, tracks, itemWidth }: StyleValues,
): void {
  if (rowGap !== undefined || block.kind === 'list') return
  if (gap !== undefined) own.push(['row-gap', lengthToCss(gap, viewportUnit)])
  // Columns of its own have no gap of themselves, and a band's rule has the gutter both ways.
  else if (block.kind !== 'section' && (tracks ?? itemWidth) === undefined) own.push(['row-gap', 'var(--gutter)'])
}

/** The declarations that lay out what a container holds. */
function addLayout(own: Declaration[], block: Block, setting: Setting, { tracks, itemWidth }: StyleValues): void {
  const repeated = (): Declaration => ['grid-template-columns', `repeat(${tracks}, minmax(0, 1fr))`]
  // As many columns as have room for the least width; one that is narrower than that itself has one.
  if (itemWidth !== undefined && setting.layout === 'grid') {
    const least = lengthToCss(itemWidth, setting.viewportUnit)
    own.push(['display', 'grid'], ['grid-template-columns', `repeat(auto-fit, minmax(min(100%, ${least}), 1fr))`])
    return
  }
  if (block.kind === 'section') {
    if (tracks !== undefined) own.push(repeated())
    return
  }
  switch (setting.layout) {
    case 'row':
      own.push(['display', 'flex'])
      return
    case 'column':
      if (block.kind !== 'list') own.push(['display', 'flex'], ['flex-direction', 'column'])
      return
    case 'overlay':
      own.push(['display', 'grid'])
      return
    case 'grid':
      own.push(['display', 'grid'])
      if (tracks !== undefined) own.push(repeated())
      else if (setting.parent === 'grid') own.push(['grid-template-columns', 'subgrid'])
      else own.push(['grid-template-columns', 'repeat(var(--columns), minmax(0, 1fr))'], ['column-gap', 'var(--gutter)'])
  }
}

/** Where a block stands in its parent. The full row is the parent's own rule for what it holds, so it is not repeated. */
function addPlacement(own: Declaration[], { span, start, position, ...values }: StyleValues, setting: Setting): void {
  const reach = setting.inSection ? reachOf(values.reach) : undefined
  if (position === 'backdrop' || (position === 'held' && span === undefined)) {
    own.push(FREE)
    return
  }
  if ((span ?? reach) === undefined || setting.parent !== 'grid' || setting.traits.has('band')) return
  const placement = placementIn(setting.columns, span, start, reach)
  if (placement.span !== setting.columns) own.push(['grid-column', placementToCss(placement, setting.columns)])
  if (reach) own.push(...reachToCss(reach))
}

const NOUGHT = pixels(0)
const HELD = [
  { place: 'selfJustify', from: 'left', to: 'right', size: 'width', margin: 'margin-inline' },
  { place: 'selfAlign', from: 'top', to: 'bottom', size: 'height', margin: 'margin-block' },
] as const

/**
 * Where a held block stands between the edges: at one of them or in the middle, wherever its own distances say nothing
 * else. By margins, since alignment of positioned boxes is young, and in a flex box means the other axis.
 */
function addHeld(own: Declaration[], block: Block, values: StyleValues, setting: Setting): void {
  for (const { place, from, to, size, margin } of HELD) {
    const at = values[place]
    const ends = [from, to].map((edge) => values[edge] ?? (at === 'stretch' ? NOUGHT : undefined))
    const shaped = size === 'height' && values.aspect !== undefined
    // An image keeps its own size between two edges, as no box does (CSS 2, 10.3.8), so it is said.
    if (block.kind === 'picture' && values[size] === undefined && !shaped && ends.every((one) => one !== undefined)) {
      const taken = ends.map((one) => lengthToCss(one!, setting.viewportUnit)).filter((one) => one !== '0')
      own.push([size, taken.length === 0 ? '100%' : `calc(100% - ${taken.join(' - ')})`])
    }
    if (at === undefined) continue
    const both = at === 'center' || at === 'stretch'
    const free = values[from] === undefined && values[to] === undefined
    if (values[from] === undefined && (both || (at === 'start' && free))) own.push([from, '0'])
    if (values[to] === undefined && (both || (at === 'end' && free))) own.push([to, '0'])
    if (at === 'center' && values[size] === undefined) own.push([size, 'fit-content'])
    if (at === 'center') own.push([margin, 'auto'])
  }
}

/** Sides that have an edge are drawn in its line. */
function addEdges(own: Declaration[], block: Block, { edgeWidth, edgeWidths, edgeSides, edgeLine = 'solid' }: StyleValues): void {
  if (block.kind === 'divider' || (edgeWidth ?? edgeWidths) === undefined) return
  const sides = edgeSides === undefined || edgeWidths ? 'solid' : EDGE_SIDES[edgeSides]
  own.push(['border-style', sides.replaceAll('solid', edgeLine)])
  keepLast(own, 'border-style')
}

/** A shadow and the scrim around a block are both shadows of its box, the shadow over the scrim. */
function joinShadows(own: Declaration[]): void {
  const shadows = own.filter(([name]) => name === 'box-shadow').map(([, value]) => value)
  if (shadows.length < 2) return
  own.push(['box-shadow', shadows.filter((one) => one !== 'none').join(', ')])
  keepLast(own, 'box-shadow')
}

function partsAt(block: Block, values: StyleValues, setting: Setting, boxed: boolean): Parts {
  const own: Declaration[] = []
  const image: Declaration[] = boxed ? [['height', '100%']] : NONE
  const holds = isContainer(block) && block.kind !== 'slideshow'
  if (holds) addLayout(own, block, setting, values)
  if (holds && setting.layout === 'grid') addEvenRows(own, block, setting, values)
  addPlacement(own, values, setting)
  // A drawing has a size of its own in its field, which says nothing of the px that it is shown at.
  if (hasTrait(block.kind, 'drawing') && values.width === undefined) own.push(['width', '100%'])
  const held = values.position === 'held'
  if (held) addHeld(own, block, values, setting)
  for (const name in values) {
    const value = values[name as PropertyName]
    if (held && (name === 'selfJustify' || name === 'selfAlign')) continue
    if ((name === 'corner' && values.corners) || (name === 'edgeWidth' && values.edgeWidths)) continue
    // Sides without a width would be drawn at the browser's own.
    if (value === undefined || (name === 'edgeSides' && values.edgeWidth === undefined && !hasBoxOfGuide(block))) continue
    // Fit and focal point belong to the image itself where a layer stands between it and its box.
    const target = boxed && OF_IMAGE.has(name) ? image : own
    for (const declaration of propertyOf(name as PropertyName).css(value, setting)) target.push(declaration)
  }
  // Where nothing moves, a strip has no other way to show all that is in it.
  if (holds && setting.layout === 'row' && !values.scrolls && isStrip(block)) {
    own.push(['flex-wrap', 'wrap'])
    keepLast(own, 'flex-wrap')
  }
  if (boxed) addPast(image, values)
  if (boxed) addDuotone(own, image, values)
  addEdges(own, block, values)
  joinShadows(own)
  if (values.shown === false) keepLast(own, 'display')
  else if (mayBeHidden(block) && !own.some(([name]) => name === 'display')) own.push(['display', shownDisplay(block)])
  return {
    own,
    image,
    children: holds ? childrenOf(block, values, setting) : NONE,
    scrim: boxed && values.scrim ? scrimOf(values.scrim) : NONE,
    icon: values.icon ? iconToCss(values.icon, values.textAlign) : NONE,
    shade: boxed && values.duotone ? shadeOf(values.duotone) : NONE,
    top: values.topShape ? edgeToCss(values.topShape, 'top') : NONE,
    bottom: values.bottomShape ? edgeToCss(values.bottomShape, 'bottom') : NONE,
    ...(values.rows === 'stack' ? STACKED : UNSTACKED),
  }
}

/** What a container says of all that it holds. */
function childrenOf(block: Block, values: StyleValues, setting: Setting): Declaration[] {
  if (setting.layout === 'row' && values.scrolls) {
    const least = values.itemWidth ? lengthToCss(values.itemWidth, setting.viewportUnit) : 'min(80%, 280px)'
    return [
      ['flex', `0 0 ${least}`],
      ['scroll-snap-align', 'start'],
    ]
  }
  if (setting.layout === 'grid' && values.itemWidth !== undefined) return [['grid-column', 'auto']]
  if (block.kind === 'section') return NONE
  return setting.layout === 'grid' ? FULL_ROW : setting.layout === 'overlay' ? ONE_CELL : NONE
}

/** True where a block is hidden at some range of widths. */
const mayBeHidden = ({ style: { base, below } }: Block): boolean =>
  base?.shown === false || (below !== undefined && Object.values(below).some((values) => values.shown === false))

/** The display of a block that lays out nothing, where it is shown again after a range that hides it. */
const shownDisplay = (block: Block): string =>
  ({ item: 'list-item', field: 'grid', section: 'grid' })[block.kind as string] ?? 'block'

/** What a block has where nothing is said, if that is neither inherited nor the property's first value. */
const USUAL: Record<string, string> = { 'grid-column': '1 / -1', display: 'revert' }
const INHERITED = /^(color|font|line-height|letter-spacing|text-|list-)/

/** What must be written at a narrower range, given what held at the one before. */
function difference(before: readonly Declaration[], now: readonly Declaration[]): Declaration[] {
  if (before === now) return NONE
  const old = new Map(before)
  const names = new Map(now)
  const changes = now.filter(([name, value]) => names.get(name) === value && old.get(name) !== value)
  for (const name of old.keys()) {
    if (!names.has(name)) changes.push([name, USUAL[name] ?? (INHERITED.test(name) ? 'inherit' : 'initial')])
  }
  return changes
}

/** True if nothing that a block declares can differ between two settings, its values being the same. */
function sameFor(values: StyleValues, a: Setting, b: Setting): boolean {
  return a.parent === b.parent && a.layout === b.layout && ((values.span ?? values.reach) === undefined || a.columns === b.columns)
}

/**
 * All CSS rules of one block, under the selector of its class.
 * @param statesOf the rules of its states, where visitors bring them about
 */
export function rulesOf(
  block: Block,
  className: string,
  surround: Surround,
  breakpoints: readonly Breakpoint[],
  viewportUnit: ViewportUnit,
  pictures?: PicturesPrinted,
  statesOf?: (block: Block, selector: string, setting: Setting, boxed: boolean, many: boolean) => Rule[],
): Rule[] {
  const selector = `.${className}`
  const boxed = isBoxed(block, pictures?.boxed)
  const own = block.kind === 'picture' && block.picture ? pictures?.find(block.picture) : undefined
  // A picture's own focal point and safe area hold wherever a place says nothing else.
  const position = own && cropPosition(turned(own, block.kind === 'picture' ? block.turn : undefined))
  const ranges = valuesByRange(block.style, breakpoints)
  const many = pictures?.boxed === true || (block.kind === 'picture' && block.instead !== undefined)
  const clips = shadesAround(block) || movesBehind(block)
  const rules: Rule[] = []
  let before: Parts | undefined
  let setting: Setting | undefined
  for (let index = 0; index < breakpoints.length; index++) {
    const values = ranges[index]!
    const here = settingAt(block, surround, breakpoints, index, viewportUnit, pictures?.fill)
    if (before && values === ranges[index - 1] && sameFor(values, setting!, here)) continue
    const now = partsAt(block, position && !values.focal ? { ...values, focal: position } : values, here, boxed)
    addAnchoring(now.own, block, values, boxed, clips)
    for (const part of PARTS) {
      const declarations = before ? difference(before[part], now[part]) : now[part]
      if (declarations.length > 0)
        rules.push({ selector: selectorOf(selector, part, many), below: breakpoints[index]!.below, declarations })
    }
    before = now
    setting = here
  }
  if (block.kind === 'shape') rules.push(...partRules(block, selector))
  if (statesOf)
    rules.push(...statesOf(block, selector, settingAt(block, surround, breakpoints, 0, viewportUnit, pictures?.fill), boxed, many))
  return rules
}

/** The colours of the parts of a drawing. */
const partRules = ({ parts }: BlockOf<'shape'>, selector: string): Rule[] =>
  parts.map(({ fill, stroke, strokeWidth = 1 }, i) => ({
    selector: `${selector} > :nth-child(${i + 1})`,
    below: null,
    declarations: [
      ['fill', fill ? colourToCss(fill) : stroke ? 'none' : 'currentcolor'],
      ...(stroke
        ? ([
            ['stroke', colourToCss(stroke)],
            ['stroke-width', String(strokeWidth)],
          ] as const)
        : []),
    ],
  }))

function selectorOf(selector: string, part: (typeof PARTS)[number], many: boolean): string {
  const selectors: Record<typeof part, string> = {
    own: selector,
    image: many ? `${selector} img` : `${selector} > img`,
    children: `:where(${selector}) > *`,
    scrim: `${selector}::after`,
    icon: `${selector}::before`,
    shade: `${selector}::before`,
    top: `${selector}::before`,
    bottom: `${selector}::after`,
    rows: `${selector} :is(table, caption, tbody, tr, th, td)`,
    head: `${selector} thead`,
    labels: `${selector} td[data-label]::before`,
  }
  return selectors[part]
}
