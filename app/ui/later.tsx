import { type ComponentType, lazy, Suspense, useEffect } from 'react'
import { useAsleep } from '../awake/awake'

/**
 * A part of a screen whose code is loaded when it is first shown, or when the browser has nothing else to do.
 * @param takesKeys true if keys that are pressed while it is loaded are meant for it, as for a dialog with a field
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, { takesKeys = false } = {}) {
  const Part = lazy(async () => ({ default: await load() }))
  function Later(props: P) {
    const stands = useAsleep(takesKeys)
    return (
      <Suspense fallback={null}>
        <Part {...props} />
        <Then stands={stands} />
      </Suspense>
    )
  }
  return Object.assign(Later, { preload: () => void load() })
}

/** Draws nothing: tells when what stands beside it does. */
function Then({ stands }: { stands: () => void }) {
  useEffect(stands, [stands])
  return null
}

/** Runs work once the page stands and the browser rests. */
export function useWhenIdle(work: () => void): void {
  useEffect(() => {
    const id = requestIdleCallback(work, { timeout: 4000 })
    return () => cancelIdleCallback(id)
    // The work loads code, which is the same whenever it is done.
    // oxlint-disable-next-line react/exhaustive-deps -- once, when the screen is first shown
  }, [])
}
