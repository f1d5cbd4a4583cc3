import { type ReactNode, useEffect, useState } from 'react'
import type { Site } from '#core/site/schema'
import { inText } from '../compose/clipboard'
import { COMMANDS, matches } from '../compose/commands'
import { ComposeProvider } from '../compose/context'
import { redo, select, undo, createComposeStore } from '../compose/store'
import { startSync } from '../compose/sync'

export type SiteScreenProps = { siteId: string; pageId: string; site: Site; revision: number; exportedRevision: number | null }

const UNDO = COMMANDS.filter((one) => one.run === undo || one.run === redo)

/** A screen that edits a site: its store, kept with the server; `keys` false where the screen has its own. */
export function SiteScreen({
  siteId,
  pageId,
  site,
  revision,
  keys = true,
  children,
}: SiteScreenProps & { keys?: boolean; children: ReactNode }) {
  const [store] = useState(() => createComposeStore(siteId, pageId, site, revision))
  useEffect(() => startSync(store), [store])
  useEffect(() => {
    if (store.getState().pageId !== pageId) store.setState({ pageId, selection: null, words: null })
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
      const command = UNDO.find((one) => matches(one, event))
      if (!command) return
      event.preventDefault()
      command.run(store)
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [store, keys])
  return <ComposeProvider value={store}>{children}</ComposeProvider>
}
