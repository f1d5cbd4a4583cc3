import { useEffect, useState } from 'react'
import type { Stress } from '#core/stress/stress'
import { createSweeper, type Sweeper, type Swept } from '../live/sweep/sweeper'
import { useSession } from '../session/context'
import { pageOf } from '../session/store'

/** How long after an edit the page is run through its widths again, ms. */
const REST = 200

/** What the sweep knows of the page: what it found last, how far it is, 0 to 1, and the sweeper, for what is only tried. */
export type SweptState = { swept: Swept | null; share: number; sweeper: Sweeper | null }

/**
 * Runs the page through all widths, and again after each edit for what the edit touched.
 * @param stress what the page is put to meanwhile
 */
export function useSwept(stress?: Stress): SweptState {
  const site = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const [sweeper, setSweeper] = useState<Sweeper | null>(null)
  const [last, setLast] = useState<{ page: string; stress: Stress | undefined; swept: Swept } | null>(null)
  const [share, setShare] = useState(0)
  useEffect(() => {
    const made = createSweeper(stress)
    setSweeper(made)
    return () => made.close()
  }, [stress])
  useEffect(() => {
    if (!sweeper) return
    const giveUp = new AbortController()
    setShare(0)
    const timer = setTimeout(() => {
      const take = (swept: Swept) => setLast({ page: page.id, stress, swept })
      const onSome = (soFar: Swept) => void (giveUp.signal.aborted || take(soFar))
      void sweeper.run(site, page, { signal: giveUp.signal, onProgress: setShare, onSome }).then((result) => {
        if (!result) return
        // Both at once: what some sections tell is never taken for the end.
        take(result)
        setShare(1)
      })
    }, REST)
    return () => {
      clearTimeout(timer)
      giveUp.abort()
    }
  }, [sweeper, site, page, stress])
  // What was found of another page, or under another stress, says nothing of this one.
  const swept = last?.page === page.id && last.stress === stress ? last.swept : null
  return { swept, share, sweeper }
}
