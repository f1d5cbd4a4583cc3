import { type Mark, seen, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'

/** Prices, terms and telephone numbers that stand on two lines. */
export const partedFigure: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    for (const { id, read } of seen(at)) if (read.words?.parted !== undefined) yield { block: id, by: 1 }
  },
  say: ({ fact, width, language }) => ({
    sentence: `${calledFirst(fact, language)} has a figure on two lines.`,
    why: `At ${width} px a line ends within a price, a term or a telephone number; spaces and hyphens that do not break keep it together.`,
  }),
}
