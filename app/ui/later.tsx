import { type ComponentType, lazy, Suspense, useEffect } from 'react'

/** A part of a screen whose code is loaded when it is first shown, or when the browser has nothing else to do. */
export function later<P extends object>(load: () => Promise<ComponentType<P>>) {
  const Part = lazy(async () => ({ default: await load() }))
  function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    )
  }
  return Object.assign(Later, { preload: () => void load() })
}

/** Runs work once the page stands and the browser rests. */
export function useWhenIdle(work: () => void): void {
  useEffect(() => {
    const id = requestIdleCallback(work, { timeout: 4000 })
    return () => cancelIdleCallback(id)
    // The work loads code, which is the same whenever it is done.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the screen is first shown
  }, [])
}
