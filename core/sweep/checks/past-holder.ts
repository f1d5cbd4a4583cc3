import { isContainer } from '#core/blocks/tree'
import type { Mark, WidthCheck } from '../check'
import { seen } from '../check'
import { called, calledFirst, px } from '#core/blocks/called'
import { isLaidOver, passesBy } from '../facts'

/** Blocks that are wider than the group that holds them, and stand out of it. */
export const pastHolder: WidthCheck = {
  fault: true,
  find(at) {
    const { blocks } = at.reading
    const past = new Map<string, Mark>()
    for (const { id, read, fact } of seen(at)) {
      const holder = fact.holders.at(-1)
      const around = holder && blocks.get(holder.id)
      if (!around || holder.kind === 'section' || around.cuts.across) continue
      const by = Math.max(read.box.right - around.box.right, around.box.left - read.box.left)
      if (by <= 1 || isLaidOver(fact, at.facts, at.breakpoints, at.range) || passesBy(fact.holders, at.facts, at.range)) continue
      // What holds it stands out because of it.
      for (const one of fact.holders) past.delete(one.id)
      past.set(id, { block: id, beside: holder.id, by })
    }
    return past.values()
  },
  say: ({ fact, beside, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} reaches ${px(by)} out of ${beside ? called(beside, language) : 'what holds it'}.`,
    why: `At ${width} px there is less room in the group than it takes${isContainer(fact.block) ? '' : ' on one line'}.`,
  }),
}
