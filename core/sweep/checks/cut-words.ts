import type { Mark, WidthCheck } from '../check'
import { seen } from '../check'
import { calledFirst, px } from '#core/blocks/called'

/** Px of a line that may lie outside: letters do not fill their line. */
const SPARE = 2

/** Words that stand partly or wholly outside a box that cuts off what goes past it. */
export const cutWords: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    const { blocks } = at.reading
    for (const { id, read, fact } of seen(at)) {
      if (!read.words) continue
      let by = 0
      for (const around of [...fact.holders.map((one) => blocks.get(one.id)), read]) {
        if (!around) continue
        const { box, cuts } = around
        for (const line of read.words.lines) {
          if (cuts.across) by = Math.max(by, line.right - box.right, box.left - line.left)
          if (cuts.down) by = Math.max(by, line.bottom - box.bottom, box.top - line.top)
        }
      }
      if (by > SPARE) yield { block: id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is cut off by ${px(by)}.`,
    why: `At ${width} px its words reach past a box that hides what goes past it.`,
  }),
}
