import { type Mark, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { heightOf } from '../reading'
import { targetsOf } from '../targets'

/** Side of what a finger presses with ease, px, and the widest window that is mostly touched. */
export const [TOUCH, TOUCHED] = [44, 640] as const

/** Buttons and fields that are lower than a finger is wide, in windows that are mostly touched. */
export const touchTarget: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    if (at.reading.width > TOUCHED) return
    for (const { id, box, fact } of targetsOf(at)) {
      const kind = fact.block.kind
      const high = heightOf(box)
      if ((kind === 'button' || kind === 'field') && high < TOUCH - 0.01) yield { block: id, by: TOUCH - high }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is ${Math.round(TOUCH - by)} px high; ${TOUCH} px are pressed with ease.`,
    why: `In a window of ${width} px pages are mostly touched (WCAG 2.5.5).`,
  }),
}
