import { isContainer } from '#core/blocks/tree'
import { layoutAt } from '#core/render/surround'
import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { widthOf } from '../reading'
import { rowsOf } from '../rows'

/** Share of a group's width that no block takes, above which a column stands empty. */
const EMPTY = 0.2

/** Groups on columns of which some, at the end, have no block in any row. */
export const emptyColumn: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    const { blocks } = at.reading
    for (const { id, read, fact } of seen(at)) {
      const { block } = fact
      if (!isContainer(block) || block.kind !== 'group' || layoutAt(block, at.breakpoints, at.range) !== 'grid') continue
      // Blocks that are not stretched leave room on purpose.
      if (fact.values[at.range]!.justify) continue
      const rows = rowsOf(block, at)
      if (rows.length === 0 || Math.max(...rows.map((row) => row.length)) < 2) continue
      const right = Math.max(...rows.flat().map((one) => blocks.get(one)!.box.right))
      const left = Math.min(...rows.flat().map((one) => blocks.get(one)!.box.left))
      const free = Math.max(read.box.right - right, left - read.box.left)
      if (free > widthOf(read.box) * EMPTY) yield { block: id, by: free }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} leaves ${Math.round(by)} px of its columns empty.`,
    why: `At ${width} px it has more columns than blocks.`,
  }),
}
