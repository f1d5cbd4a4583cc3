import type { Block, Container } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import type { Edit } from '#core/edits/index'
import type { Reach } from '#core/grid/reach'
import { layoutAt, reachAt, surroundAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { valuesByRange } from '#core/style/cascade'
import type { Layout } from '#core/style/property'
import type { PropertyName, StyleValues } from '#core/style/registry'
import type { Repair } from '../finding'

/** Where a block stands at one range of widths, and what holds for it there: all that a rule asks. */
export type At = {
  block: Block
  values: StyleValues
  /** Its own layout, if it holds blocks. */
  layout: Layout
  position: NonNullable<StyleValues['position']>
  /** The blocks that it lays out at this range. */
  inside: readonly Block[]
  parent: Container | undefined
  /** Layout of what holds it, the columns that it offers, its values, and the blocks that it lays out. */
  outer: Layout
  columns: number
  /** How far it reaches, where it stands in a section itself. */
  reach: Reach | undefined
  around: StyleValues
  beside: readonly Block[]
  /** Whether what holds it is as high as what is in it, and no higher. */
  isAutoHigh: boolean
  valuesOf: (block: Block) => StyleValues
}

/** A property that changes nothing: why, and the one change that makes it work. */
export type Why = { property: PropertyName; sentence: string; repair: Repair }

/** Tells whether a setting is without effect. A setting that is not set is not asked about. */
export type WhyRule = (at: At) => Why | undefined

const isLaidOut = (block: Block, values: StyleValues) =>
  !block.hidden && values.shown !== false && values.position !== 'held' && values.position !== 'backdrop'

/** What the rules ask about a block at one range; `index` counts the site's breakpoints, 0 being the widest. */
export function atRange(site: Site, place: Place, index: number): At {
  const { block, ancestors } = place
  const { breakpoints } = site
  const valuesOf = (one: Block) => valuesByRange(one.style, breakpoints)[index]!
  const parent = ancestors.at(-1)
  const values = valuesOf(block)
  const around = parent ? valuesOf(parent) : {}
  const grandparent = ancestors.at(-2)
  const surround = surroundAt(site, place).ranges[index]!
  const beyond = grandparent ? layoutAt(grandparent, breakpoints, index) : 'column'
  return {
    block,
    values,
    layout: layoutAt(block, breakpoints, index),
    position: values.position ?? 'flow',
    inside: isContainer(block) ? block.children.filter((one) => isLaidOut(one, valuesOf(one))) : [],
    parent,
    outer: parent ? layoutAt(parent, breakpoints, index) : 'column',
    columns: surround.columns,
    reach: reachAt(block, surround, breakpoints, index),
    around,
    beside: parent ? parent.children.filter((one) => isLaidOut(one, valuesOf(one))) : [],
    isAutoHigh:
      parent !== undefined &&
      parent.kind !== 'section' &&
      beyond === 'column' &&
      (around.position ?? 'flow') === 'flow' &&
      ![around.height, around.minHeight, around.aspect, around.grow].some((one) => one !== undefined),
    valuesOf,
  }
}

/** Sets values of a block in its base; `null` takes one away. */
export const set = (block: Block, values: { [N in PropertyName]?: StyleValues[N] | null }): Edit => ({
  kind: 'style',
  block: block.id,
  scope: 'base',
  values,
})

/** The repair that takes a setting away, where nothing else would be meant. */
export const takeAway = (block: Block, ...names: readonly PropertyName[]): Repair => ({
  label: 'Take it away',
  edit: set(block, Object.fromEntries(names.map((name) => [name, null]))),
})

export const aLayout = (layout: Layout) => (layout === 'overlay' ? 'an overlay' : `a ${layout}`)
