import { type ReactNode, useEffect, useState } from 'react'
import type { Site } from '#core/site/schema'
import { inText } from '../ui/in-text'
import { matches, UNDO_COMMANDS } from '../session/command'
import { keepCompany } from '../session/company'
import { SessionProvider } from '../session/context'
import { keepHistory } from '../session/history'
import { createSessionStore, select } from '../session/store'
import { startSync } from '../session/sync'

export type SiteScreenProps = { siteId: string; pageId: string; site: Site; revision: number; exportedRevision: number | null }

/** A screen that edits a site: its store, kept with the server; `keys` false where the screen has its own. */
export function SiteScreen({
  siteId,
  pageId,
  site,
  revision,
  keys = true,
  children,
}: SiteScreenProps & { keys?: boolean; children: ReactNode }) {
  const [store] = useState(() => createSessionStore(siteId, pageId, site, revision))
  useEffect(() => startSync(store), [store])
  useEffect(() => keepHistory(store), [store])
  useEffect(() => keepCompany(store), [store])
  useEffect(() => {
    if (store.getState().pageId !== pageId) {
      select(store, null)
      store.setState({ pageId })
    }
  }, [store, pageId])
  // A link from a finding names the block to select.
  useEffect(() => {
    const named = location.hash.slice(1)
    if (named !== '') select(store, named)
  }, [store])
  useEffect(() => {
    if (!keys) return
    const onKeyDown = (event: KeyboardEvent) => {
      if (inText(event.target)) return
      const command = UNDO_COMMANDS.find((one) => matches(one, event))
      if (!command) return
      event.preventDefault()
      command.run(store)
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [store, keys])
  return <SessionProvider value={store}>{children}</SessionProvider>
}
