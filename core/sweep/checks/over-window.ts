import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst, px } from '#core/blocks/called'
import { heightOf } from '../reading'

/** Share of the window's height that a section must be meant to fill, and by which it may not be higher. */
const [MEANT, LITTLE] = [80, 0.15]

/** Sections that are meant to fill the window and are a little higher than it. */
export const overWindow: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (fact.block.kind !== 'section') continue
      const { minHeight, height } = fact.values[at.range]!
      const meant = height ?? minHeight
      if (!meant || !('value' in meant) || meant.unit !== 'vh' || meant.value < MEANT) continue
      const by = heightOf(read.box) - at.window
      if (by > 1 && by <= at.window * LITTLE) yield { block: id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is ${px(by)} higher than the window that it is meant to fill.`,
    why: `At ${width} px what it holds needs more than the window has.`,
  }),
}
