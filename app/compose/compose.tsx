import { CircleHelp, Frame as FrameIcon, Grid3x3, Ruler, Slash, SquareSplitHorizontal } from 'lucide-react'
import { useCallback, useEffect, useMemo, useRef } from 'react'
import { useNavigate } from 'react-router'
import { Group, Panel, Separator, usePanelRef } from 'react-resizable-panels'
import { Link } from 'react-router'
import { BarTools } from '../screen/bar-tools'
import { SiteBar } from '../screen/site-bar'
import { SiteScreen, type SiteScreenProps } from '../screen/site-screen'
import { buttonClass } from '../ui/button'
import { later, useWhenIdle } from '../ui/later'
import { loadWordsEditor } from './open-words'
import { ByName, ByNameList } from './by-name/by-name'
import { toggleWire } from './commands'
import { useClipboard } from './clipboard'
import { useSessionStore, useSession } from '../session/context'
import { useKeys } from './keys'
import { type Frames, FramesProvider } from '../live/frames'
import { SelectionExtras } from './overlay'
import { Stage } from './stage'
import { openViews, useDesk } from '../session/desk'
import { blockName } from '#core/blocks/block-name'
import { pageOf } from '../session/store'
import { BlockTray, Tray } from './tray/tray'
import { WidthRuler } from './width-ruler'

/** Usual height of the tray, px. */
const TRAY = 236

// Printed by the server with the page; what drags its rows is loaded behind it.
const RunningOrder = later(async () => (await import('./running-order')).RunningOrder)
const Chooser = later(async () => (await import('./chooser/chooser')).Chooser, { takesKeys: true })
const Compare = later(async () => (await import('./compare')).Compare)
const ExceptionsDialog = later(async () => (await import('./exceptions-dialog')).ExceptionsDialog, { takesKeys: true })
const PicturesDialog = later(async () => (await import('./pictures/pictures-dialog')).PicturesDialog, { takesKeys: true })
const SharedDialog = later(async () => (await import('./shared-dialog')).SharedDialog, { takesKeys: true })
const PagesDialog = later(async () => (await import('./pages-dialog')).PagesDialog, { takesKeys: true })

/** The Compose screen: running order, views at every width, and the tray. */
export function Compose(props: SiteScreenProps) {
  return (
    <SiteScreen {...props} keys={false}>
      <WithFrames exportedRevision={props.exportedRevision} />
    </SiteScreen>
  )
}

/** The views are known to the stage, where they stand, and to the tray, which measures in them. */
function WithFrames(props: { exportedRevision: number | null }) {
  const frames = useRef<Frames>(new Map())
  return (
    <FramesProvider value={frames.current}>
      <Screen {...props} />
    </FramesProvider>
  )
}

function Screen({ exportedRevision }: { exportedRevision: number | null }) {
  useDesk()
  const navigate = useNavigate()
  const siteId = useSession((state) => state.siteId)
  const pageId = useSession((state) => state.pageId)
  const play = useCallback(() => void navigate(`/sites/${siteId}/pages/${pageId}/play`), [navigate, siteId, pageId])
  useKeys(play)
  useClipboard()
  useWhenIdle(() => {
    SelectionExtras.preload()
    BlockTray.preload()
    void loadWordsEditor()
    Chooser.preload()
    ByNameList.preload()
  })
  const store = useSessionStore()
  const tray = useSession((state) => state.tray)
  const comparing = useSession((state) => state.comparing)
  const width = useSession((state) => state.session.site.views[openViews(state)[0]!]!)
  const order = useSession((state) => state.order)
  const trayPanel = usePanelRef()
  // The height that it was left with: known at once where it was hidden, and on a first visit once the desk is back.
  const trayHeight = useMemo(() => `${(tray && store.getState().trayHeight) || TRAY}px`, [store, tray])
  useEffect(() => {
    const height = store.getState().trayHeight
    if (height !== null) trayPanel.current?.resize(`${height}px`)
  }, [store, trayPanel])
  const chooser = useSession((state) => state.chooser)
  const reSet = useSession((state) => pageOf(state).sections.find((one) => one.id === state.chooser?.section))
  const pages = useSession((state) => state.pagesOpen)
  const shared = useSession((state) => state.sharedOpen)
  const pictures = useSession((state) => state.picturesOpen)
  const exceptions = useSession((state) => state.exceptionsOpen && state.selection !== null)
  return (
    <div className="flex h-screen select-none flex-col overflow-clip">
      <Bar exportedRevision={exportedRevision} />
      <Group orientation="vertical" className="min-h-0 flex-1">
        <Panel id="page" minSize="200px">
          <div className="flex h-full">
            {order ? (
              <aside aria-label="Running order" className="w-[212px] shrink-0 border-r border-line-strong">
                <RunningOrder />
              </aside>
            ) : (
              <FoldedOrder />
            )}
            <main className="flex min-w-0 flex-1 flex-col">
              {comparing ? (
                <Compare width={width} />
              ) : (
                <>
                  <WidthRuler />
                  <div className="relative min-h-0 flex-1">
                    <PickedUp />
                    <Stage />
                  </div>
                </>
              )}
            </main>
          </div>
        </Panel>
        {tray && (
          <>
            <Separator
              className="h-1 -mb-1 z-10 relative data-[separator=hover]:bg-yarrow data-[separator=active]:bg-yarrow"
              aria-label="Height of the tray"
            />
            <Panel
              id="tray"
              panelRef={trayPanel}
              onResize={({ inPixels }) => store.setState({ trayHeight: Math.round(inPixels) })}
              defaultSize={trayHeight}
              minSize="120px"
              maxSize="60%"
            >
              <Tray />
            </Panel>
          </>
        )}
      </Group>
      <ByName />
      {chooser && <Chooser section={reSet} onClose={() => store.setState({ chooser: null })} />}
      {exceptions && <ExceptionsDialog onClose={() => store.setState({ exceptionsOpen: false })} />}
      {pictures && <PicturesDialog onClose={() => store.setState({ picturesOpen: false })} />}
      {shared && <SharedDialog onClose={() => store.setState({ sharedOpen: false })} />}
      {pages && <PagesDialog onClose={() => store.setState({ pagesOpen: false })} />}
    </div>
  )
}

/** The running order, folded: a press or its key brings it back. */
function FoldedOrder() {
  const store = useSessionStore()
  return (
    <button
      type="button"
      title="Running order (O)"
      className="flex w-7 shrink-0 items-start justify-center border-r border-line-strong bg-panel pt-2 hover:bg-ground"
      onClick={() => store.setState({ order: true })}
    >
      <span className="[writing-mode:vertical-rl] text-label">Running order</span>
    </button>
  )
}

/** Says what a press does while a style is picked up. */
function PickedUp() {
  const store = useSessionStore()
  const picked = useSession((state) => state.picked)
  useEffect(() => {
    if (!picked) return
    // From anywhere: whatever has the focus, the first Escape puts the style down.
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return
      event.preventDefault()
      event.stopPropagation()
      store.setState({ picked: null })
    }
    window.addEventListener('keydown', onKeyDown, { capture: true })
    return () => window.removeEventListener('keydown', onKeyDown, { capture: true })
  }, [picked, store])
  if (!picked) return null
  return (
    <p role="status" className="fixed left-1/2 top-[52px] z-40 -translate-x-1/2 bg-ink px-3 py-1 text-on-ink shadow-float">
      The style of {blockName(picked)} is picked up. Press blocks to put it on them; Escape puts it down.{' '}
      <button type="button" className="min-h-6 underline" onClick={() => store.setState({ picked: null })}>
        Put it down
      </button>
    </p>
  )
}

const pressKey = (key: string) => window.dispatchEvent(new KeyboardEvent('keydown', { key }))

function Bar({ exportedRevision }: { exportedRevision: number | null }) {
  const store = useSessionStore()
  const page = useSession(pageOf)
  const { siteId } = store.getState()
  const grid = useSession((state) => state.grid)
  const distances = useSession((state) => state.distances)
  const wire = useSession((state) => state.session.site.views.every((_, i) => state.wire.has(i)))
  const comparing = useSession((state) => state.comparing)
  return (
    <SiteBar
      screen="compose"
      exportedRevision={exportedRevision}
      onPages={() => store.setState({ pagesOpen: true })}
      tools={
        <BarTools
          tools={[
            { label: 'Column grid (G)', icon: Grid3x3, pressed: grid, onPress: () => store.setState({ grid: !grid }) },
            { label: 'Distances (D)', icon: Ruler, pressed: distances, onPress: () => store.setState({ distances: !distances }) },
            { label: 'Wire look in all views (W)', icon: FrameIcon, pressed: wire, onPress: () => toggleWire(store) },
            {
              label: 'Compare wire look and finished look (Shift W)',
              icon: SquareSplitHorizontal,
              pressed: comparing,
              onPress: () => store.setState({ comparing: !comparing }),
            },
            { label: 'Everything by name (/)', icon: Slash, onPress: () => pressKey('/') },
            { label: 'All keys (?)', icon: CircleHelp, onPress: () => pressKey('?') },
          ]}
        />
      }
    >
      <Link to={`/sites/${siteId}/pages/${page.id}/play`} className={buttonClass('primary')}>
        Play page
      </Link>
    </SiteBar>
  )
}
