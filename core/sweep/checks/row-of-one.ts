import { isContainer } from '#core/blocks/tree'
import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { rowsOf } from '../rows'

/** Groups on columns whose last row has a single block, where the rows before have several. */
export const rowOfOne: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, fact } of seen(at)) {
      if (!isContainer(fact.block) || fact.block.kind === 'section') continue
      const rows = rowsOf(fact.block, at)
      const most = Math.max(0, ...rows.slice(0, -1).map((row) => row.length))
      // Two and one of three is how three stand two by two; it is a gap where the rows are longer.
      if (rows.length > 1 && rows.at(-1)!.length === 1 && most >= 2) yield { block: id, by: most }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} has one block alone in its last row, under rows of ${by}.`,
    why: `At ${width} px its blocks do not come out even.`,
  }),
}
