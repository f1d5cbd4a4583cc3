import type { Container, Section } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { autoColumns } from '#core/grid/auto-place'
import { placementIn } from '#core/grid/placement'
import { layoutAt } from '#core/render/surround'
import { valueAt } from '#core/style/cascade'
import { calledFirst } from '#core/blocks/called'
import { type AtWidth, type Mark, seen, type WidthCheck } from '../check'

/** The blocks of a header that stand beside each other in its widest range, row by row. */
function rowsWide(block: Container, { breakpoints }: AtWidth): string[][] {
  const children = block.children.filter((one) => !one.hidden)
  if (layoutAt(block, breakpoints, 0) === 'row') return [children.map((one) => one.id)]
  if (layoutAt(block, breakpoints, 0) !== 'grid') return []
  const { columns } = breakpoints[0]!
  const items = children.map(({ style }) =>
    placementIn(columns, valueAt(style, 'span', breakpoints, 0), valueAt(style, 'start', breakpoints, 0)),
  )
  const rows: string[][] = []
  let before = Infinity
  autoColumns(items, columns).forEach((at, i) => {
    if (at <= before) rows.push([])
    rows.at(-1)!.push(children[i]!.id)
    before = at
  })
  return rows
}

/** Rows of a header, one in the widest range, that are several. */
export const splitHeader: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    if (at.range === 0 && at.breakpoints.length === 1) return
    for (const { id, fact } of seen(at)) {
      const { block } = fact
      const section = block.kind === 'section' ? (block as Section) : undefined
      if (section?.job !== 'header') continue
      const holders = [section, ...section.children.filter(isContainer).filter((one) => one.kind === 'group')]
      let most = 1
      for (const row of holders.flatMap((one) => rowsWide(one, at))) {
        const boxes = row.flatMap((one) => at.reading.blocks.get(one)?.box ?? []).filter((box) => box.bottom > box.top)
        // Blocks that lie below the end of all before them begin a row.
        let [rows, end] = [0, -Infinity]
        for (const box of boxes.toSorted((a, b) => a.top - b.top)) {
          if (box.top >= end - 1) rows++
          end = Math.max(end, box.bottom)
        }
        most = Math.max(most, rows)
      }
      if (most > 1) yield { block: id, by: most }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} stands on ${by} rows, where it is one in a wider window.`,
    why: `At ${width} px its links could fold away, or the row be kept.`,
  }),
}
