import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { isRunning, lineCharacters } from '../lines'
import { widthOf } from '../reading'

/** Characters of a line below which running text falls apart. */
export const LEAST = 30
/** Lines from which it is running text, and the share of the window below which there would be more room. */
const [LINES, ROOM] = [4, 0.6]

/** Running text whose lines are short though there would be more room. */
export const shortLines: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (!read.words || read.words.lines.length < LINES || !isRunning(fact)) continue
      if (widthOf(read.box) > at.reading.width * ROOM) continue
      const by = lineCharacters(read.words)
      if (by < LEAST) yield { block: id, by: LEAST - by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} has lines of ${Math.floor(LEAST - by)} characters; ${LEAST} at least are wanted.`,
    why: `At ${width} px it takes few of the columns that there are.`,
  }),
}
