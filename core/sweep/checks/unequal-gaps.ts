import type { Block } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { looksOf } from '#core/many/chosen'
import { type AtWidth, type Mark, seen, type WidthCheck } from '../check'
import { calledFirst, px } from '#core/blocks/called'
import { positionAt } from '../facts'

/** Gaps that are looked at together, at least, and px by which one differs that is no purpose: more is a break that is meant. */
const LEAST = 3
const DIFFERS = { from: 1.5, to: 12 }

const likeness = (block: Block) => `${block.kind} ${JSON.stringify(looksOf(block))}`

/** Gaps between blocks of one kind that stand under each other, each with the block that ends it. */
function gapsIn(children: readonly Block[], { reading, facts, range }: AtWidth): { id: string; gap: number }[] {
  const shown = children.flatMap((one) => {
    const [read, fact] = [reading.blocks.get(one.id), facts.get(one.id)]
    return read && fact && positionAt(fact, range) === 'flow' ? [{ block: one, box: read.box }] : []
  })
  if (new Set(shown.map(({ block }) => likeness(block))).size !== 1) return []
  const gaps = shown.slice(1).map(({ block, box }, n) => {
    const before = shown[n]!.box
    return { id: block.id, gap: box.top - before.bottom, stands: Math.abs(box.left - before.left) < 1 && box.top > before.top }
  })
  return gaps.every((one) => one.stands) ? gaps : []
}

/** One gap among like blocks that is a little other than all the rest. */
export const unequalGaps: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { fact } of seen(at)) {
      if (!isContainer(fact.block)) continue
      const gaps = gapsIn(fact.block.children, at)
      if (gaps.length < LEAST) continue
      const usual = gaps.map((one) => one.gap).sort((a, b) => a - b)[Math.floor(gaps.length / 2)]!
      const odd = gaps.filter((one) => Math.abs(one.gap - usual) >= DIFFERS.from)
      const by = odd.length === 1 ? Math.abs(odd[0]!.gap - usual) : Infinity
      if (by <= DIFFERS.to) yield { block: odd[0]!.id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} stands ${px(by)} nearer or further than the others do.`,
    why: `At ${width} px all other gaps between these blocks are equal.`,
  }),
}
