import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'

/** Buttons whose words take more than one line. */
export const secondLine: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at))
      if (fact.block.kind === 'button' && read.words && read.words.lines.length > 1)
        yield { block: id, by: read.words.lines.length }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} takes ${by} lines; the words of a button take one.`,
    why: `At ${width} px they are wider than their button.`,
  }),
}
