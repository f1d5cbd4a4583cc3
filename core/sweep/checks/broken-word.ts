import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst, px } from '#core/blocks/called'

/** Words that are wider than their line, so that they are broken without a hyphen or stand out of their box. */
export const brokenWord: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    for (const { id, read } of seen(at))
      if (read.words && (read.words.over > 1 || read.words.broken)) yield { block: id, by: read.words.over }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} has a word that does not fit on its line.`,
    why: `At ${width} px it is ${px(by)} wider than its room, so it is broken where it ends or stands out.`,
  }),
}
