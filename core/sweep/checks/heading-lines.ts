import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'

/** Most lines of a heading that are still taken in at a glance. */
export const MOST_LINES = 4

/** Headings of too many lines. */
export const headingLines: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at))
      if (fact.block.kind === 'heading' && read.words && read.words.lines.length > MOST_LINES)
        yield { block: id, by: read.words.lines.length }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} runs over ${by} lines; ${MOST_LINES} at most are wanted.`,
    why: `At ${width} px the heading is large for its room.`,
  }),
}
