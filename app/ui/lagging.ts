import { startTransition, useEffect, useState } from 'react'

/** Does something once the next frame has been painted. @returns what gives it up */
export function afterPaint(work: () => void): () => void {
  let timer: ReturnType<typeof setTimeout>
  // A task that is begun in a frame runs after that has been painted.
  const frame = requestAnimationFrame(() => (timer = setTimeout(work)))
  return () => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
  }
}

/** A value that follows the newest one once that has been painted: for what may be a frame late. */
export function useAfterPaint<T>(newest: T): T {
  const [value, setValue] = useState(newest)
  useEffect(() => {
    if (value === newest) return
    return afterPaint(() => startTransition(() => setValue(() => newest)))
  }, [value, newest])
  return value
}

/** A value that follows the newest one once that has rested for a while, ms: for what is costly and never urgent. */
export function useRested<T>(newest: T, rest = 250): T {
  const [value, setValue] = useState(newest)
  useEffect(() => {
    if (value === newest) return
    const timer = setTimeout(() => startTransition(() => setValue(() => newest)), rest)
    return () => clearTimeout(timer)
  }, [value, newest, rest])
  return value
}
