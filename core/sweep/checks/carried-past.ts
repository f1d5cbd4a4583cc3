import { type Mark, type WidthCheck } from '../check'
import { calledFirst, px } from '#core/blocks/called'

/** Blocks that a motion carries, grows or turns past the side of the window, so that the page can be scrolled sideways then. */
export const carriedPast: WidthCheck = {
  fault: true,
  *find({ reading: { carried = new Map<string, number>() } }): Generator<Mark> {
    for (const [block, by] of carried) yield { block, by }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is moved ${px(by)} past the window.`,
    why: `At ${width} px its motion makes the page wider than its window, which scrolls sideways then.`,
  }),
}
