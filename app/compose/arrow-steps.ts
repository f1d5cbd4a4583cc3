import type { KeyboardEvent } from 'react'

const WAY: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 }

/**
 * What a vertical slider does with its arrow keys, which go no further than it.
 * @param step px of one press; ten times that with Shift
 */
export const arrowSteps = (step: number, onStep: (by: number) => void) => (event: KeyboardEvent) => {
  const way = WAY[event.key]
  if (way === undefined) return
  event.preventDefault()
  event.stopPropagation()
  onStep(way * step * (event.shiftKey ? 10 : 1))
}
