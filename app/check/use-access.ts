import { useEffect, useState } from 'react'
import { viewsLookedAt } from '#core/analysis/access'
import type { AccessRead } from '#core/render/access-script'
import { pageFile } from '#core/render/own-links'
import { readAccess } from '../live/access'
import { useSession, useSessionStore } from '../session/context'
import { pageOf } from '../session/store'

export type AccessState = { reads: AccessRead[] | null; share: number; problem: string }

/** Looks at the page, as it was kept last, in up to three of its views; again when more was kept. */
export function useAccess(): AccessState {
  const { siteId } = useSessionStore().getState()
  const saved = useSession((state) => state.session.pending.length === 0)
  const revision = useSession((state) => state.session.revision)
  const views = useSession((state) => state.session.site.views)
  const file = useSession((state) => pageFile(pageOf(state)))
  const [state, setState] = useState<AccessState>({ reads: null, share: 0, problem: '' })
  useEffect(() => {
    if (!saved) return
    const giveUp = new AbortController()
    setState((before) => ({ ...before, share: 0, problem: '' }))
    readAccess(`/visit/${siteId}/${file}`, viewsLookedAt(views), {
      signal: giveUp.signal,
      onProgress: (share) => setState((before) => ({ ...before, share })),
    }).then(
      (reads) => reads && setState({ reads, share: 1, problem: '' }),
      (error: unknown) => setState({ reads: null, share: 1, problem: error instanceof Error ? error.message : 'It did not work.' }),
    )
    return () => giveUp.abort()
  }, [saved, revision, siteId, file, views])
  return state
}
