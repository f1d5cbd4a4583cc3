import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'

/** Headings with one word alone on the last line. */
export const loneWord: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) if (fact.block.kind === 'heading' && read.words?.lone) yield { block: id, by: 1 }
  },
  say: ({ fact, width, language }) => ({
    sentence: `${calledFirst(fact, language)} leaves one word alone on its last line.`,
    why: `At ${width} px its last line is a single word; lines of equal length would share it.`,
  }),
}
