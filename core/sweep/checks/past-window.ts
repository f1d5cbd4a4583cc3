import type { Mark, WidthCheck } from '../check'
import { seen } from '../check'
import { passesBy } from '../facts'
import { calledFirst, px } from '#core/blocks/called'

/**
 * Blocks that reach past the sides of the window with their box or a line of their words, so that the page scrolls sideways;
 * of those in each other, the innermost. Whether it scrolls, its engine says: what no block accounts for is found as well.
 */
export const pastWindow: WidthCheck = {
  fault: true,
  find(at) {
    const { width, blocks, past: wide } = at.reading
    const past = new Map<string, Mark>()
    let scrolls = false
    for (const { id, read, fact } of seen(at)) {
      const lines = read.cuts.across ? [] : (read.words?.lines ?? [])
      const left = -Math.min(read.box.left, ...lines.map((line) => line.left))
      const right = Math.max(read.box.right, ...lines.map((line) => line.right)) - width
      // To the side on which lines begin nobody can scroll; to the other, the page does or it does not.
      const [begins, ends] = at.mirrored ? [right, left] : [left, right]
      const isPast = begins > 1 || (wide ? wide.by > 0 && ends >= 0.5 : ends > 1)
      if (!isPast || fact.holders.some((one) => blocks.get(one.id)?.cuts.across)) continue
      if (passesBy(fact.holders, at.facts, at.range)) continue
      for (const holder of fact.holders) past.delete(holder.id)
      past.set(id, { block: id, by: Math.max(left, right) })
      scrolls ||= ends >= 0.5
    }
    if (wide?.block !== undefined && wide.by > 0 && !scrolls) past.set(wide.block, { block: wide.block, by: wide.by })
    return past.values()
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} reaches ${px(by)} past the window.`,
    why: `At ${width} px the page scrolls sideways because of it.`,
  }),
}
