import { useEffect, useRef } from 'react'
import { isSame } from '#core/values/equal'

/**
 * What a field was last asked to become. What it shows may follow a moment later, after the views, and the next press of
 * an arrow key must count from what was asked, not from what is still shown, nor from an older asking that is shown only now.
 */
export function useAsked<T>(value: T): [newest: () => T, ask: (next: T) => void] {
  /** What was asked and is not shown yet, in its order. */
  const waiting = useRef<T[]>([])
  useEffect(() => {
    // What was asked before it has been passed over; what was not asked comes from elsewhere, as by undo, and holds.
    const shown = waiting.current.findLastIndex((one) => isSame(one, value))
    waiting.current = shown < 0 ? [] : waiting.current.slice(shown + 1)
  }, [value])
  const newest = () => (waiting.current.length > 0 ? waiting.current.at(-1)! : value)
  // At a limit nothing more is asked: the way back begins there.
  const ask = (next: T) => void (isSame(next, newest()) || waiting.current.push(next))
  return [newest, ask]
}
