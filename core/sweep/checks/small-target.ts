import { type Mark, type WidthCheck } from '../check'
import { calledFirst } from '#core/blocks/called'
import { heightOf, widthOf } from '../reading'
import { distance, targetsOf } from '../targets'

/** Least side of what is pressed, px, or the room around its middle (WCAG 2.2, 2.5.8). */
export const LEAST_TARGET = 24

/** What is pressed and is smaller than 24 px, with another so near that a circle of 24 px about its middle meets it. */
export const smallTarget: WidthCheck = {
  fault: true,
  *find(at): Generator<Mark> {
    const targets = targetsOf(at)
    for (const { id, box } of targets) {
      const side = Math.min(widthOf(box), heightOf(box))
      if (side >= LEAST_TARGET - 0.01) continue
      const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
      const near = targets.find((other) => {
        if (other.id === id) return false
        const small = Math.min(widthOf(other.box), heightOf(other.box)) < LEAST_TARGET
        const apart = small
          ? Math.hypot(middle.x - (other.box.left + other.box.right) / 2, middle.y - (other.box.top + other.box.bottom) / 2)
          : distance(middle, other.box) + LEAST_TARGET / 2
        return apart < LEAST_TARGET
      })
      if (near) yield { block: id, by: LEAST_TARGET - side }
    }
  },
  say: ({ fact, by, width, language }) => ({
    sentence: `${calledFirst(fact, language)} is ${Math.round(LEAST_TARGET - by)} px high or wide and close to another; ${LEAST_TARGET} px are wanted of what is pressed.`,
    why: `At ${width} px a finger on one meets the other (WCAG 2.5.8).`,
  }),
}
