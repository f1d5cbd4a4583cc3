import { MEASURE } from '#core/type/measure'
import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { isRunning, lineCharacters } from '../lines'

/** Running text whose lines are too long to find the next one with ease. */
export const longLines: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      if (!read.words || !isRunning(fact)) continue
      const by = lineCharacters(read.words)
      if (by > MEASURE.most) yield { block: id, by }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} has lines of ${Math.ceil(by)} characters; ${MEASURE.most} at most are read with ease.`,
    why: `At ${width} px it is wider than its size of type asks for.`,
  }),
}
