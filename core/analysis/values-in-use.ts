import type { Edit } from '#core/edits/index'
import type { Block } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { propertyOf, type PropertyName, type Scope, type StyleValues, statesOfStyle } from '#core/style/registry'
import type { Colour } from '#core/values/colour'
import type { Length } from '#core/values/length'

/** Kinds of values that a site should have few of. */
export const VALUE_KINDS = ['colour', 'size', 'space', 'corner', 'face'] as const
export type ValueKind = (typeof VALUE_KINDS)[number]

/** A value as it stands somewhere: what kind it is, and the value. */
export type Value =
  | { kind: 'colour'; value: Colour }
  | { kind: 'size' | 'space' | 'corner'; value: Length }
  | { kind: 'face'; value: string }

/** Puts other values in the place of those of a block's style; the same object if nothing changes. */
type Change = (value: Value) => Value['value']

const isColour = (value: unknown): value is Colour =>
  typeof value === 'object' && value !== null && ('role' in value || 'hex' in value)

function changed(name: PropertyName, value: unknown, change: Change): unknown {
  const kind = propertyOf(name).measures
  if (kind) return change({ kind, value: value as Length })
  if (name === 'face') return change({ kind: 'face', value: value as string })
  if (isColour(value)) return change({ kind: 'colour', value })
  return coloursChanged(value, change)
}

/** A value with other colours in it, however deep; the same object if none changes. */
function coloursChanged(value: unknown, change: Change): unknown {
  if (isColour(value)) return change({ kind: 'colour', value })
  if (Array.isArray(value)) {
    const next = value.map((one: unknown) => coloursChanged(one, change))
    return next.every((one, i) => one === value[i]) ? value : next
  }
  if (typeof value !== 'object' || value === null) return value
  let next = value as Record<string, unknown>
  for (const [key, part] of Object.entries(value)) {
    const now = key === 'colours' ? movedChanged(part as MovedColours, change) : coloursChanged(part, change)
    if (now !== part) next = { ...next, [key]: now }
  }
  return next
}

type MovedColours = Readonly<Record<string, Colour>>

/** Colours that a motion changes, which are named by their roles: another role takes its name there too. */
function movedChanged(colours: MovedColours, change: Change): MovedColours {
  const entries = Object.entries(colours).map(([role, colour]): [string, Colour] => {
    const named = change({ kind: 'colour', value: { role } }) as Colour
    return ['role' in named ? named.role : role, change({ kind: 'colour', value: colour }) as Colour]
  })
  const same = entries.every(([role, colour]) => colours[role] === colour)
  return same ? colours : Object.fromEntries(entries)
}

/** The properties of some style values that differ once every value has been changed. */
export function changedValues(values: StyleValues, change: Change): StyleValues {
  const result: Record<string, unknown> = {}
  for (const [name, value] of Object.entries(values)) {
    if (value === undefined) continue
    const now = changed(name as PropertyName, value, change)
    if (now !== value) result[name] = now
  }
  return result as StyleValues
}

/** Every scope of a block's style that has values. */
export function* scopesOf({ style }: Pick<Block, 'style'>): Generator<[Scope, StyleValues]> {
  if (style.base) yield ['base', style.base]
  for (const [below, values] of Object.entries(style.below ?? {})) yield [{ below }, values]
  yield* statesOfStyle(style)
}

/** The edits that change values wherever they stand on the pages of a site, in every direction. */
export function changeEverywhere(site: Site, change: Change): Edit[] {
  const editsOf = (block: Pick<Block, 'id' | 'style'>, direction?: string): Edit[] =>
    [...scopesOf(block)].flatMap(([scope, values]): Edit[] => {
      if (typeof scope === 'object' && !site.breakpoints.some((one) => one.id === scope.below)) return []
      const now = changedValues(values, change)
      if (Object.keys(now).length === 0) return []
      return [{ kind: 'style', block: block.id, scope, values: now, ...(direction === undefined ? {} : { direction }) }]
    })
  const blocks = site.pages.flatMap((page) => [...walkPage(page)])
  const restyled = site.directions.flatMap((direction) =>
    blocks.flatMap(({ id }) => (direction.restyled[id] ? editsOf({ id, style: direction.restyled[id] }, direction.id) : [])),
  )
  return [...blocks.flatMap((block) => editsOf(block)), ...restyled]
}

/** One place where a value stands. */
export type ValueUse = { block: string; page: string; property: string }

/** Calls back for every value of every block of a site. */
export function eachValue(site: Site, see: (value: Value, use: ValueUse) => void): void {
  for (const page of site.pages)
    for (const block of walkPage(page))
      for (const [, values] of scopesOf(block))
        for (const [name, value] of Object.entries(values)) {
          if (value === undefined) continue
          const property = propertyOf(name as PropertyName).label
          changed(name as PropertyName, value, (one) => {
            see(one, { block: block.id, page: page.id, property })
            return one.value
          })
        }
}

/** Names that a value mentions as tokens, or as the shadow of a card, however deep. */
function mentions(value: unknown, into: Set<string>): void {
  if (Array.isArray(value)) return value.forEach((one) => mentions(one, into))
  if (typeof value !== 'object' || value === null) return
  for (const [key, one] of Object.entries(value)) {
    if ((key === 'token' || key === 'shadow') && typeof one === 'string') into.add(one)
    else mentions(one, into)
  }
}

/** Spaces, corners and shadows that something names: a block, or a button or look of any direction. */
export function tokensInUse(site: Site): ReadonlySet<string> {
  const used = new Set<string>()
  for (const page of site.pages) for (const block of walkPage(page)) mentions(block.style, used)
  for (const { restyled, guide } of site.directions) {
    mentions(restyled, used)
    if (guide) mentions([guide.buttons, guide.looks], used)
  }
  mentions([site.guide.buttons, site.guide.looks], used)
  return used
}
