import type { Edit } from '#core/edits/index'
import { columnsAt, layoutAt } from '#core/render/surround'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { rangeOf } from '#core/style/cascade'
import type { Scope } from '#core/style/registry'

/**
 * The edits that move blocks by columns of their grids, or make them wider or narrower by columns. A block that falls
 * where it may is taken to begin at the first column. Nothing goes past the first or the last column; blocks that stand
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
    const span = Math.max(1, Math.min(columns - (now.start ?? 1) + 1, now.span + (by.span ?? 0)))
    const start = Math.max(1, Math.min(columns - span + 1, (now.start ?? 1) + (by.start ?? 0)))
    const values = {
      ...(by.span !== undefined && span !== now.span ? { span } : {}),
      ...(by.start !== undefined && start !== (now.start ?? 1) ? { start } : {}),
    }
    return Object.keys(values).length === 0 ? [] : [{ kind: 'style', block: place.block.id, scope, values }]
  })
}
