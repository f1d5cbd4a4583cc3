import type { KeyboardEvent } from 'react'

/** Keys that move a slider back and forth, by the way that it lies. */
const WAYS: Record<'down' | 'across', Record<string, number>> = {
  down: { ArrowDown: 1, ArrowUp: -1 },
  across: { ArrowRight: 1, ArrowLeft: -1 },
}

/**
 * What a slider does with its arrow keys, which go no further than it.
 * @param step what one press moves it by; ten times that with Shift
 * @param lies whether it goes down or across
 */
export const arrowSteps =
  (step: number, onStep: (by: number, event: KeyboardEvent) => void, lies: keyof typeof WAYS = 'down') =>
  (event: KeyboardEvent) => {
    const way = WAYS[lies][event.key]
    if (way === undefined) return
    event.preventDefault()
    event.stopPropagation()
    onStep(way * step * (event.shiftKey ? 10 : 1), event)
  }
