import { type Mark, seen, type WidthCheck } from '../check'
import { called, calledFirst, px } from '#core/blocks/called'
import { isSeenInTurn } from '../facts'

/** Words that something which cannot be seen through is painted over. */
export const coveredWords: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    for (const { id, read, fact } of seen(at)) {
      const over = read.covered && at.facts.get(read.covered.by)
      if (over && !isSeenInTurn(fact, over)) yield { block: id, beside: read.covered!.by, by: read.covered!.px }
    }
  },
  say: ({ fact, beside, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is covered by ${beside ? called(beside, language) : 'another block'}.`,
    why: `At ${width} px it hides ${px(by)} of the words, since it is painted over them.`,
  }),
}
