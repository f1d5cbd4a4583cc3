import { type Mark, type WidthCheck } from '../check'
import { called, calledFirst } from '#core/blocks/called'
import { heightOf, overlapOf } from '../reading'
import { targetsOf } from '../targets'
import { TOUCH, TOUCHED } from './touch-target'

/** Least space between what is pressed with a finger, px. */
export const APART = 8

/** Buttons that stand so close that a finger meets both, in windows that are mostly touched. */
export const closeTargets: WidthCheck = {
  fault: false,
  *find(at): Generator<Mark> {
    if (at.reading.width > TOUCHED) return
    const buttons = targetsOf(at).filter(({ fact }) => fact.block.kind === 'button')
    for (const [n, one] of buttons.entries())
      for (const other of buttons.slice(n + 1)) {
        if (heightOf(one.box) >= TOUCH && heightOf(other.box) >= TOUCH) continue
        const { x, y } = overlapOf(one.box, other.box)
        const apart = Math.max(-x, -y)
        if (apart < APART - 0.01) yield { block: other.id, beside: one.id, by: APART - Math.max(0, apart) }
      }
  },
  say: ({ fact, beside, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} stands ${Math.round(APART - by)} px from ${beside ? called(beside, language) : 'another'}; ${APART} px are wanted.`,
    why: `At ${width} px a finger meets both.`,
  }),
}
