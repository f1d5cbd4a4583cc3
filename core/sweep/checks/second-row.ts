import { isContainer } from '#core/blocks/tree'
import { layoutAt } from '#core/render/surround'
import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'

/** Navigation that takes more than one row. */
export const secondRow: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    const { blocks } = at.reading
    for (const { id, fact } of seen(at)) {
      const { block } = fact
      if (block.kind !== 'nav' || !isContainer(block) || layoutAt(block, at.breakpoints, at.range) !== 'row') continue
      const links = block.children.flatMap((one) => blocks.get(one.id) ?? []).sort((a, b) => a.box.top - b.box.top)
      // A link that begins below the end of all before it begins a row.
      let [rows, end] = [0, -Infinity]
      for (const { box } of links) {
        if (box.top >= end - 1) rows++
        end = Math.max(end, box.bottom)
      }
      if (rows > 1) yield { block: id, by: rows }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${fact.block.name ? calledFirst(fact, language) : 'The navigation'} takes ${by} rows.`,
    why: `At ${width} px its links are wider than it.`,
  }),
}
