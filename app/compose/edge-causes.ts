import { causesInWords, causesOfEdge, type Edge } from '#core/edges/causes'
import { rangeAt } from '#core/grid/columns'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import type { StageView } from '../live/frames'
import { measureBlocks } from '../live/measure-blocks'

/** Why an edge of a block is where it is in a view, in a line; nothing where the view does not show the block. */
export function edgeInWords(site: Site, place: Place, view: StageView, edge: Edge): string | undefined {
  const ids = [...place.ancestors, place.block].map((one) => one.id)
  const measured = measureBlocks(ids, view.frame.document)
  if (measured.length < ids.length) return undefined
  return causesInWords(causesOfEdge(edge, site, place, rangeAt(site.breakpoints, view.width), measured))
}
