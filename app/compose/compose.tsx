import { CircleHelp, Grid3x3, Redo2, Ruler, Slash, Undo2 } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Group, Panel, Separator } from 'react-resizable-panels'
import { Link } from 'react-router'
import type { Site } from '#core/site/schema'
import { buttonClass, IconButton } from '../ui/button'
import { TopBar } from '../ui/top-bar'
import { stepsOf } from '../ui/steps'
import { ByName } from './by-name'
import { useClipboard } from './clipboard'
import { ComposeProvider, useCompose, useComposeState } from './context'
import { useKeys } from './keys'
import { RunningOrder } from './running-order'
import { Stage } from './stage'
import { createComposeStore, pageOf, redo, select, undo } from './store'
import { startSync } from './sync'
import { Tray } from './tray/tray'
import { WidthRuler } from './width-ruler'

export type ComposeProps = {
  siteId: string
  pageId: string
  site: Site
  revision: number
  exportedRevision: number | null
}

/** The Compose screen: running order, views at every width, and the tray. */
export function Compose({ siteId, pageId, site, revision, exportedRevision }: ComposeProps) {
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
  return (
    <ComposeProvider value={store}>
      <Screen exportedRevision={exportedRevision} />
    </ComposeProvider>
  )
}

function Screen({ exportedRevision }: { exportedRevision: number | null }) {
  useKeys()
  useClipboard()
  const tray = useComposeState((state) => state.tray)
  return (
    <div className="flex h-screen flex-col overflow-hidden">
      <Bar exportedRevision={exportedRevision} />
      <Group orientation="vertical" className="min-h-0 flex-1">
        <Panel id="page" minSize="200px">
          <div className="flex h-full">
            <aside aria-label="Running order" className="w-[212px] shrink-0 border-r border-line-strong">
              <RunningOrder />
            </aside>
            <main className="flex min-w-0 flex-1 flex-col">
              <WidthRuler />
              <div className="min-h-0 flex-1">
                <Stage />
              </div>
            </main>
          </div>
        </Panel>
        {tray && (
          <>
            <Separator
              className="h-1 -mb-1 z-10 relative data-[separator=hover]:bg-yarrow data-[separator=active]:bg-yarrow"
              aria-label="Height of the tray"
            />
            <Panel id="tray" defaultSize="236px" minSize="120px" maxSize="60%">
              <Tray />
            </Panel>
          </>
        )}
      </Group>
      <ByName />
    </div>
  )
}

function Bar({ exportedRevision }: { exportedRevision: number | null }) {
  const store = useCompose()
  const site = useComposeState((state) => state.session.site)
  const page = useComposeState(pageOf)
  const { siteId } = store.getState()
  const revision = useComposeState((state) => state.session.revision)
  const undoStep = useComposeState((state) => state.undo.at(-1))
  const redoStep = useComposeState((state) => state.redo.at(-1))
  const grid = useComposeState((state) => state.grid)
  const distances = useComposeState((state) => state.distances)
  return (
    <TopBar
      siteName={site.name}
      pageName={page.name}
      pages={site.pages.map((one) => ({
        id: one.id,
        name: one.name,
        to: `/sites/${siteId}/pages/${one.id}/compose`,
      }))}
      steps={stepsOf({
        siteId,
        site,
        page,
        exported: exportedRevision !== null && exportedRevision === revision,
      })}
    >
      <div className="flex items-center text-on-ink-2">
        <BarButton label={undoStep ? `Undo ${undoStep.label}` : 'Nothing to undo'} disabled={!undoStep} onClick={() => undo(store)}>
          <Undo2 size={16} strokeWidth={1.5} />
        </BarButton>
        <BarButton label={redoStep ? `Redo ${redoStep.label}` : 'Nothing to redo'} disabled={!redoStep} onClick={() => redo(store)}>
          <Redo2 size={16} strokeWidth={1.5} />
        </BarButton>
        <BarButton label="Column grid (G)" pressed={grid} onClick={() => store.setState({ grid: !grid })}>
          <Grid3x3 size={16} strokeWidth={1.5} />
        </BarButton>
        <BarButton label="Distances (D)" pressed={distances} onClick={() => store.setState({ distances: !distances })}>
          <Ruler size={16} strokeWidth={1.5} />
        </BarButton>
        <BarButton label="Everything by name (/)" onClick={() => window.dispatchEvent(new KeyboardEvent('keydown', { key: '/' }))}>
          <Slash size={16} strokeWidth={1.5} />
        </BarButton>
        <BarButton label="All keys (?)" onClick={() => window.dispatchEvent(new KeyboardEvent('keydown', { key: '?' }))}>
          <CircleHelp size={16} strokeWidth={1.5} />
        </BarButton>
      </div>
      <SaveState />
      <Link to={`/sites/${siteId}/pages/${page.id}/play`} className={buttonClass('primary')}>
        Play page
      </Link>
    </TopBar>
  )
}

function BarButton({ pressed, ...rest }: React.ComponentProps<typeof IconButton>) {
  return (
    <IconButton
      {...rest}
      {...(pressed === undefined ? {} : { 'aria-pressed': pressed })}
      className={`!text-on-ink-2 hover:!bg-ink-2/50 ${pressed ? '!bg-ink-2 !text-yarrow' : ''}`}
    />
  )
}

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

/** Whether everything is on the server's disk. */
function SaveState() {
  const save = useComposeState((state) => state.save)
  const unsent = useComposeState((state) => state.session.pending.length)
  const text =
    save.kind === 'saved'
      ? save.at
        ? `Saved ${clock.format(save.at)}`
        : 'Saved'
      : save.kind === 'saving'
        ? 'Saving'
        : `${unsent} unsent`
  return (
    <span
      role="status"
      title={save.kind === 'waiting' ? save.why : undefined}
      className={`whitespace-nowrap ${save.kind === 'waiting' ? 'bg-rust px-2 py-0.5 text-on-ink' : 'text-on-ink-2'}`}
    >
      {text}
    </span>
  )
}
