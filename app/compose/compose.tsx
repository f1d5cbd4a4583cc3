import { CircleHelp, Grid3x3, Ruler, Slash } from 'lucide-react'
import { Group, Panel, Separator } from 'react-resizable-panels'
import { Link } from 'react-router'
import { BarButton, SiteBar } from '../screen/site-bar'
import { SiteScreen, type SiteScreenProps } from '../screen/site-screen'
import { buttonClass } from '../ui/button'
import { ByName } from './by-name'
import { useClipboard } from './clipboard'
import { useCompose, useComposeState } from './context'
import { useKeys } from './keys'
import { RunningOrder } from './running-order'
import { Stage } from './stage'
import { pageOf } from './store'
import { Tray } from './tray/tray'
import { WidthRuler } from './width-ruler'

/** The Compose screen: running order, views at every width, and the tray. */
export function Compose(props: SiteScreenProps) {
  return (
    <SiteScreen {...props} keys={false}>
      <Screen exportedRevision={props.exportedRevision} />
    </SiteScreen>
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
  const page = useComposeState(pageOf)
  const { siteId } = store.getState()
  const grid = useComposeState((state) => state.grid)
  const distances = useComposeState((state) => state.distances)
  return (
    <SiteBar
      screen="compose"
      exportedRevision={exportedRevision}
      tools={
        <>
          <BarButton label="Column grid (G)" pressed={grid} onClick={() => store.setState({ grid: !grid })}>
            <Grid3x3 size={16} strokeWidth={1.5} />
          </BarButton>
          <BarButton label="Distances (D)" pressed={distances} onClick={() => store.setState({ distances: !distances })}>
            <Ruler size={16} strokeWidth={1.5} />
          </BarButton>
          <BarButton
            label="Everything by name (/)"
            onClick={() => window.dispatchEvent(new KeyboardEvent('keydown', { key: '/' }))}
          >
            <Slash size={16} strokeWidth={1.5} />
          </BarButton>
          <BarButton label="All keys (?)" onClick={() => window.dispatchEvent(new KeyboardEvent('keydown', { key: '?' }))}>
            <CircleHelp size={16} strokeWidth={1.5} />
          </BarButton>
        </>
      }
    >
      <Link to={`/sites/${siteId}/pages/${page.id}/play`} className={buttonClass('primary')}>
        Play page
      </Link>
    </SiteBar>
  )
}
