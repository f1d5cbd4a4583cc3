import type { Container } from '#core/blocks/index'
import { layoutAt } from '#core/render/surround'
import type { AtWidth } from './check'
import { positionAt } from './facts'

/** Ids of the blocks that a group lays out on columns or in rows that wrap, row by row; none where it lays out otherwise. */
export function rowsOf(block: Container, { reading, facts, breakpoints, range }: AtWidth): string[][] {
  const layout = layoutAt(block, breakpoints, range)
  if (layout !== 'grid') return []
  const laidOut = block.children.flatMap((one) => {
    const [read, fact] = [reading.blocks.get(one.id), facts.get(one.id)]
    return read && fact && positionAt(fact, range) === 'flow' ? [{ id: one.id, box: read.box }] : []
  })
  const rows: string[][] = []
  let end = -Infinity
  for (const { id, box } of laidOut.toSorted((a, b) => a.box.top - b.box.top || a.box.left - b.box.left)) {
    if (box.top >= end - 1) rows.push([])
    rows.at(-1)!.push(id)
    end = rows.at(-1)!.length === 1 ? box.bottom : Math.max(end, box.bottom)
  }
  return rows
}
