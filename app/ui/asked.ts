import { useEffect, useRef } from 'react'

/**
 * What a field was last asked to become. What it shows may follow a moment later, after the views, and the next press of
 * an arrow key must count from what was asked, not from what is still shown.
 */
export function useAsked<T>(value: T): [newest: () => T, ask: (next: T) => void] {
  const asked = useRef<{ to: T } | null>(null)
  useEffect(() => {
    asked.current = null
  }, [value])
  const newest = () => (asked.current ? asked.current.to : value)
  const ask = (next: T) => void (asked.current = { to: next })
  return [newest, ask]
}
