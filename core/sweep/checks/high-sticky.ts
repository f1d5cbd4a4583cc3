import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { positionAt } from '../facts'
import { heightOf } from '../reading'

/** Share of the window's height that what stays in sight may take. */
const MOST = 1 / 3

/** Sticky blocks that cover more than a third of the window, where they lie over what is scrolled under them. */
export const highSticky: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (positionAt(fact, at.range) !== 'sticky') continue
      const holder = fact.holders.at(-1)
      const around = holder && at.reading.blocks.get(holder.id)
      // One that stands beside what is scrolled covers nothing.
      const wide = read.box.right - read.box.left > (around ? around.box.right - around.box.left : at.reading.width) * 0.75
      const by = heightOf(read.box) / at.window
      if (wide && by > MOST) yield { block: id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} stays in sight and takes ${Math.round(by * 100)} % of the window's height.`,
    why: `At ${width} px little is left for what is scrolled under it.`,
  }),
}
