import { type Mark, seen, type WidthCheck } from '../check'
import { called, calledFirst, px } from '#core/blocks/called'
import { passesBy, positionAt } from '../facts'
import { lettersOf } from '../reading'
import { standsIn } from './words-out'

/** Least px between letters and the edge of the ground that they stand on; they may reach out by some that is found elsewhere. */
const [LEAST, OUT] = [4, -2]

/** Words that touch, or nearly touch, the edge of the ground that they stand on. */
export const tightEdge: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (!read.words?.lines.length || positionAt(fact, at.range) === 'held' || passesBy(fact.holders, at.facts, at.range)) continue
      const within = standsIn(id, fact, at)
      const around = within === undefined ? undefined : at.reading.blocks.get(within)
      if (!around?.paints) continue
      const { box } = around
      const { size } = read.words
      const spaces = read.words.lines.flatMap((line) => {
        const { left, top, right, bottom } = lettersOf(line, size)
        return [left - box.left, box.right - right, top - box.top, box.bottom - bottom]
      })
      const least = Math.min(...spaces)
      if (least < LEAST && least >= OUT) yield { block: id, ...(within === id ? {} : { beside: within! }), by: LEAST - least }
    }
  },
  say: ({ fact, beside, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} stands ${LEAST - by < 0.5 ? 'at' : `${px(LEAST - by)} from`} the edge of ${beside ? called(beside, language) : 'its ground'}.`,
    why: `At ${width} px its letters touch, or nearly touch, the edge of what they stand on.`,
  }),
}
