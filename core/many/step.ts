import { autoColumns } from '#core/grid/auto-place'
import type { Edit } from '#core/edits/index'
import { columnsAt, layoutAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { rangeOf, valueAt } from '#core/style/cascade'
import type { Scope } from '#core/style/registry'

/** The column that a block falls on among those that it stands with, counted from 1. */
function fallsOn(site: Site, { block, ancestors, ...place }: Place, range: number, columns: number): number {
  const { breakpoints } = site
  const inFlow = ancestors
    .at(-1)!
    .children.filter(
      (one) =>
        !one.hidden &&
        valueAt(one.style, 'shown', breakpoints, range) !== false &&
        !['backdrop', 'held'].includes(valueAt(one.style, 'position', breakpoints, range) ?? ''),
    )
  const items = inFlow.map((one) => columnsAt(site, { ...place, ancestors, block: one } as Place, range))
  return autoColumns(items, columns)[inFlow.indexOf(block)] ?? 1
}

/**
 * The edits that move blocks by columns of their grids, or make them wider or narrower by columns. A block that falls
 * where it may moves from the column that it falls on. Nothing goes past the first or the last column; blocks that stand
 * in no grid stay as they are.
 * @param by columns to move, and columns to add to the span
 */
export function stepEdits(site: Site, places: readonly Place[], by: { start?: number; span?: number }, scope: Scope): Edit[] {
  const { breakpoints } = site
  const range = rangeOf(breakpoints, scope)
  return places.flatMap((place): Edit[] => {
    const parent = place.ancestors.at(-1)
    if (!parent || layoutAt(parent, breakpoints, range) !== 'grid') return []
    const { columns, ...now } = columnsAt(site, place, range)
    const first = now.start ?? fallsOn(site, place, range, columns)
    const span = Math.max(1, Math.min(columns - first + 1, now.span + (by.span ?? 0)))
    const start = Math.max(1, Math.min(columns - span + 1, first + (by.start ?? 0)))
    const values = {
      ...(by.span !== undefined && span !== now.span ? { span } : {}),
      ...(by.start !== undefined && start !== first ? { start } : {}),
    }
    return Object.keys(values).length === 0 ? [] : [{ kind: 'style', block: place.block.id, scope, values }]
  })
}
