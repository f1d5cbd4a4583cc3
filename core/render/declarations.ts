import { placementIn, placementToCss } from '#core/grid/placement'
import type { Block, Breakpoint } from '#core/site/schema'
import type { Declaration, Setting } from '#core/style/property'
import { type PropertyName, propertyOf, type StyleValues } from '#core/style/registry'
import { valueAt } from '#core/style/resolve'
import { isContainer } from '#core/site/tree'
import { colourToCss as colour, type ViewportUnit } from '#core/style/css-values'
import type { Rule } from './rules'
import { settingAt, type Surround } from './surround'

type Declared = Map<string, string>

/** The declarations that lay out what a container holds. */
function layoutOf(block: Block, setting: Setting, tracks: number | undefined): Declaration[] {
  if (block.kind === 'section')
    return tracks === undefined ? [] : [['grid-template-columns', `repeat(${tracks}, minmax(0, 1fr))`]]
  switch (setting.layout) {
    case 'row':
      return [['display', 'flex']]
    case 'column':
      return block.kind === 'list'
        ? []
        : [
            ['display', 'flex'],
            ['flex-direction', 'column'],
          ]
    case 'overlay':
      return [['display', 'grid']]
    case 'grid': {
      if (tracks !== undefined)
        return [
          ['display', 'grid'],
          ['grid-template-columns', `repeat(${tracks}, minmax(0, 1fr))`],
        ]
      if (setting.parent === 'grid')
        return [
          ['display', 'grid'],
          ['grid-template-columns', 'subgrid'],
        ]
      return [
        ['display', 'grid'],
        ['grid-template-columns', 'repeat(var(--columns), minmax(0, 1fr))'],
        ['column-gap', 'var(--gutter)'],
      ]
    }
  }
}

/** Where a block stands in its parent. The full row is the parent's own rule for what it holds, so it is not repeated. */
function placementOf(
  values: { span?: number; start?: number; position?: string },
  setting: Setting,
): Declaration[] {
  const { span, start, position } = values
  if (position === 'backdrop') return [['grid-area', 'auto']]
  if (position === 'held' && span === undefined) return [['grid-area', 'auto']]
  if (setting.parent !== 'grid' || setting.kind === 'section') return []
  const placement = placementIn(setting.columns, span, start)
  return placement.span === setting.columns
    ? []
    : [['grid-column', placementToCss(placement, setting.columns)]]
}

/** Properties of a picture that belong to the image itself when a layer stands between it and its box. */
const OF_IMAGE: readonly PropertyName[] = ['fit', 'focal']

/** True where a picture's image stands in a box of its own: under a scrim, or inside a link. */
export function isBoxed(block: Block): boolean {
  if (block.kind !== 'picture') return false
  const { base, below } = block.style
  return Boolean(block.link || base?.scrim || (below && Object.values(below).some((values) => values.scrim)))
}

function namesOf(block: Block): PropertyName[] {
  const { base, below } = block.style
  const names = new Set<PropertyName>(base ? (Object.keys(base) as PropertyName[]) : [])
  if (below)
    for (const values of Object.values(below))
      for (const name of Object.keys(values)) names.add(name as PropertyName)
  return [...names]
}

/** What depends on the kind of block alone and not on one property. */
function declaredAt(
  block: Block,
  names: readonly PropertyName[],
  setting: Setting,
  breakpoints: readonly Breakpoint[],
  index: number,
): { own: Declared; image: Declared } {
  const own: Declared = new Map()
  const image: Declared = new Map()
  const boxed = isBoxed(block)
  const value = <N extends PropertyName>(name: N) => valueAt(block.style, name, breakpoints, index)
  if (isContainer(block))
    for (const [name, text] of layoutOf(block, setting, value('tracks'))) own.set(name, text)
  for (const [name, text] of placementOf(
    { span: value('span'), start: value('start'), position: value('position') },
    setting,
  ))
    own.set(name, text)
  for (const name of names) {
    const set = value(name)
    if (set === undefined) continue
    const target = boxed && OF_IMAGE.includes(name) ? image : own
    for (const [property, text] of propertyOf(name).css(set, setting)) target.set(property, text)
  }
  if (block.style.base?.edgeWidth !== undefined && block.kind !== 'divider' && !own.has('border-style'))
    own.set('border-style', 'solid')
  return { own, image }
}

/** The rule that every block in a container starts from: the full row of a grid, or the one cell of an overlay. */
function forChildren(block: Block, setting: Setting): Declared {
  if (block.kind === 'section' || !isContainer(block)) return new Map()
  if (setting.layout === 'grid') return new Map([['grid-column', '1 / -1']])
  return setting.layout === 'overlay' ? new Map([['grid-area', '1 / 1']]) : new Map()
}

const INHERITED = /^(color|font|line-height|letter-spacing|text-|list-)/

/** What must be written at a narrower range, given what held at the one before. */
function difference(before: Declared, now: Declared): Declaration[] {
  const changes: Declaration[] = []
  for (const [name, value] of now) if (before.get(name) !== value) changes.push([name, value])
  for (const name of before.keys()) {
    if (!now.has(name))
      changes.push([name, name === 'grid-column' ? '1 / -1' : INHERITED.test(name) ? 'inherit' : 'initial'])
  }
  return changes
}

const POSITIONED = new Set(['held', 'backdrop', 'sticky'])

/** True if a block inside is taken out of the flow, so that the container must be what it is measured from. */
function anchors(block: Block): boolean {
  return (
    isContainer(block) &&
    block.children.some(
      (child) => isOut(child.style.base) || Object.values(child.style.below ?? {}).some(isOut),
    )
  )
}
const isOut = (values: StyleValues | undefined) =>
  values?.position === 'held' || values?.position === 'backdrop'

/** All CSS rules of one block, under the selector of its class. */
export function rulesOf(
  block: Block,
  className: string,
  surround: Surround,
  breakpoints: readonly Breakpoint[],
  viewportUnit: ViewportUnit,
): Rule[] {
  const names = namesOf(block)
  const rules: Rule[] = []
  const selectors = {
    own: `.${className}`,
    image: `.${className} > img`,
    children: `:where(.${className}) > *`,
    scrim: `.${className}::after`,
  }
  let before: { own: Declared; image: Declared; children: Declared; scrim: Declared } | undefined
  for (let index = 0; index < breakpoints.length; index++) {
    const setting = settingAt(block, surround, breakpoints, index, viewportUnit)
    const declared = declaredAt(block, names, setting, breakpoints, index)
    const now = {
      ...declared,
      children: forChildren(block, setting),
      scrim: scrimOf(block, breakpoints, index),
    }
    if (index === 0 && anchors(block)) {
      if (!POSITIONED.has(block.style.base?.position ?? '')) now.own.set('position', 'relative')
      now.own.set('isolation', 'isolate')
    }
    if (index === 0 && isBoxed(block) && !POSITIONED.has(block.style.base?.position ?? ''))
      now.own.set('position', 'relative')
    if (index === 0 && isBoxed(block) && block.style.base?.corner) now.own.set('overflow', 'hidden')
    if (index > 0 && before) {
      for (const name of ['position', 'isolation', 'overflow']) {
        const kept = before.own.get(name)
        if (kept !== undefined && !now.own.has(name)) now.own.set(name, kept)
      }
    }
    for (const part of ['own', 'image', 'children', 'scrim'] as const) {
      const declarations = before ? difference(before[part], now[part]) : [...now[part]]
      if (declarations.length > 0)
        rules.push({ selector: selectors[part], below: breakpoints[index]!.below, declarations })
    }
    before = now
  }
  if (isBoxed(block))
    rules.push({ selector: selectors.image, below: null, declarations: [['height', '100%']] })
  const hover = block.style.hover
  if (hover)
    rules.push(
      ...hoverRules(block, hover, selectors.own, settingAt(block, surround, breakpoints, 0, viewportUnit)),
    )
  return rules
}

function scrimOf(block: Block, breakpoints: readonly Breakpoint[], index: number): Declared {
  if (block.kind !== 'picture' || !isBoxed(block)) return new Map()
  const scrim = valueAt(block.style, 'scrim', breakpoints, index)
  if (!scrim) return new Map()
  const tint = (strength: number) => colour({ ...scrim.colour, alpha: strength * (scrim.colour.alpha ?? 1) })
  const background =
    scrim.from === scrim.to
      ? tint(scrim.from)
      : `linear-gradient(${scrim.angle}deg, ${tint(scrim.from)}, ${tint(scrim.to)})`
  return new Map([
    ['content', '""'],
    ['position', 'absolute'],
    ['inset', '0'],
    ['background', background],
  ])
}

function hoverRules(block: Block, hover: StyleValues, selector: string, setting: Setting): Rule[] {
  const declarations = (Object.keys(hover) as PropertyName[]).flatMap((name) =>
    propertyOf(name).css(hover[name], setting),
  )
  const transition: Declaration = [
    'transition',
    [...new Set(declarations.map(([name]) => name))].map((name) => `${name} 0.15s`).join(', '),
  ]
  const rules: Rule[] = [{ selector, below: null, declarations: [transition] }]
  const target =
    block.kind === 'group'
      ? `${selector}:is(:hover, :focus-within)`
      : `${selector}:is(:hover, :focus-visible)`
  return [...rules, { selector: target, below: null, declarations }]
}
