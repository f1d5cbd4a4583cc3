import type { Mark, WidthCheck } from '../check'
import { seen } from '../check'
import { passesBy } from '../facts'
import { calledFirst, px } from '#core/blocks/called'

/** Blocks that reach past the sides of the window, so that the page scrolls sideways; of those in each other, the innermost. */
export const pastWindow: WidthCheck = {
  fault: true,
  find(at) {
    const { width, blocks } = at.reading
    const past = new Map<string, Mark>()
    for (const { id, read, fact } of seen(at)) {
      const by = Math.max(read.box.right - width, -read.box.left)
      if (by <= 1 || fact.holders.some((one) => blocks.get(one.id)?.cuts.across)) continue
      if (passesBy(fact.holders, at.facts, at.range)) continue
      for (const holder of fact.holders) past.delete(holder.id)
      past.set(id, { block: id, by })
    }
    return past.values()
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} reaches ${px(by)} past the window.`,
    why: `At ${width} px the page scrolls sideways because of it.`,
  }),
}
