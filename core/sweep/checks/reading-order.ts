import { isContainer } from '#core/blocks/tree'
import { type AtWidth, type Mark, seen, type WidthCheck } from '../check'
import { called, calledFirst } from '#core/blocks/called'
import { positionAt } from '../facts'

/** Px by which two blocks may lie into each other and still stand one before the other. */
const SPARE = 4

/** Blocks that are read after one that they stand before, above it or on the side where the same row begins (WCAG 2.2, 1.3.2). */
export const readingOrder: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    const { blocks } = at.reading
    for (const { fact } of seen(at)) {
      if (!isContainer(fact.block)) continue
      const inFlow = fact.block.children.flatMap((one) => {
        const [read, child] = [blocks.get(one.id), at.facts.get(one.id)]
        return read && child && positionAt(child, at.range) === 'flow' && tells(one.id, at) ? [{ id: one.id, box: read.box }] : []
      })
      for (const [n, { id, box }] of inFlow.entries()) {
        const before = inFlow[n - 1]
        if (!before) continue
        const above = box.bottom <= before.box.top + SPARE
        const sameRow = Math.min(box.bottom, before.box.bottom) - Math.max(box.top, before.box.top) > SPARE
        const earlier = at.mirrored ? box.left >= before.box.right - SPARE : box.right <= before.box.left + SPARE
        const leftOf = sameRow && earlier
        if (above || leftOf)
          yield { block: id, beside: before.id, by: above ? before.box.top - box.top : Math.abs(before.box.left - box.left) }
      }
    }
  },
  say: ({ fact, beside, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is seen before ${beside ? called(beside, language) : 'the block before it'} and read after it.`,
    why: `At ${width} px the order of the document is another than that on the page; who listens, or goes on by keys, meets them the other way round.`,
  }),
}

/** True for what has words or is pressed, or holds such: pictures, alone or with a caption, may be read in any order. */
function tells(id: string, at: AtWidth): boolean {
  const { block } = at.facts.get(id)!
  if (block.kind === 'group' && block.element === 'figure') return false
  if (isContainer(block)) return block.children.some((one) => at.facts.has(one.id) && tells(one.id, at))
  return at.reading.blocks.get(id)?.words !== undefined
}
