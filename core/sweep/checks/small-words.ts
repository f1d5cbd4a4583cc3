import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'

/** Least size of letters that are meant to be read, px. */
export const LEAST_SIZE = 12

/** Px by which a size that grows with the window may be off, as its figures are rounded where it is printed. */
const ROUNDED = 0.002

/** Words that are set too small. */
export const smallWords: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    for (const { id, read } of seen(at))
      if (read.words && read.words.characters > 0 && read.words.size < LEAST_SIZE - ROUNDED)
        yield { block: id, by: LEAST_SIZE - read.words.size }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is set in ${Number((LEAST_SIZE - by).toFixed(1))} px; ${LEAST_SIZE} px at least are wanted.`,
    why: `It is smallest at ${width} px.`,
  }),
}
