import type { Block } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { rangeScopes, valuesByRange } from '#core/style/cascade'
import { type PropertyName, type Scope, type StyleValues, valuesIn } from '#core/style/registry'
import { isSame } from '#core/values/equal'

/** What one property of a block has at one range of widths. */
export type Cell = {
  scope: Scope
  /** The value that is set there, if one is. */
  own: unknown
  /** The value that holds there. */
  holds: unknown
}

/** One property of a block with its values at every range of widths, the widest, which is the base, first. */
export type ExceptionRow = { block: Block; property: PropertyName; cells: Cell[] }

/** The properties of a block, and of all that it holds, that differ at some range of widths. */
export function exceptionRows(site: Site, root: Block): ExceptionRow[] {
  const scopes = rangeScopes(site.breakpoints)
  return [...walk(root)].flatMap((block) => {
    const { base, below } = block.style
    const names = new Set(Object.values(below ?? {}).flatMap((values) => Object.keys(values)) as PropertyName[])
    const ranges = valuesByRange(block.style, site.breakpoints)
    return [...names].map((property) => ({
      block,
      property,
      cells: scopes.map((scope, n) => ({
        scope,
        own: scope === 'base' ? base?.[property] : valuesIn(block.style, scope)?.[property],
        holds: ranges[n]![property],
      })),
    }))
  })
}

const set = (block: string, scope: Scope, property: PropertyName, value: unknown): Edit => ({
  kind: 'style',
  block,
  scope,
  values: { [property]: value ?? null } as StyleValues,
})

/** The edits that take exceptions away at a range of widths: what holds at the range before holds there. */
export const clearEdits = (rows: readonly ExceptionRow[], at: number): Edit[] =>
  rows.flatMap(({ block, property, cells }) =>
    cells[at]!.own === undefined ? [] : [set(block.id, cells[at]!.scope, property, null)],
  )

/** The edits that give a range of widths what the base has, whatever holds at the ranges between. */
export const sameAsBaseEdits = (rows: readonly ExceptionRow[], at: number): Edit[] =>
  rows.flatMap(({ block, property, cells }) => {
    const base = cells[0]!.own
    if (isSame(cells[at]!.holds, base)) return []
    // Without a value between, taking the exception away is enough, and leaves less behind.
    if (isSame(cells[at - 1]?.holds, base)) return [set(block.id, cells[at]!.scope, property, null)]
    return base === undefined ? [] : [set(block.id, cells[at]!.scope, property, base)]
  })

/**
 * The edits that make what holds at a range of widths the base. Exceptions that say no more than what holds before them
 * then go.
 */
export const makeBaseEdits = (rows: readonly ExceptionRow[], at: number): Edit[] =>
  rows.flatMap(({ block, property, cells }) => {
    const value = cells[at]!.holds
    if (isSame(value, cells[0]!.own)) return []
    const edits = [set(block.id, 'base', property, value)]
    let before = value
    for (const { scope, own } of cells.slice(1)) {
      if (own !== undefined && isSame(own, before)) edits.push(set(block.id, scope, property, null))
      else if (own !== undefined) before = own
    }
    return edits
  })

/** The edits that give one range of widths what holds at another. */
export const copyEdits = (rows: readonly ExceptionRow[], from: number, to: number): Edit[] =>
  rows.flatMap(({ block, property, cells }) => {
    const value = cells[from]!.holds
    return value === undefined || isSame(value, cells[to]!.holds) ? [] : [set(block.id, cells[to]!.scope, property, value)]
  })
