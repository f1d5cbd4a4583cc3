import { Link } from 'react-router'
import { useState } from 'react'
import { useSessionStore, useSession } from '../session/context'
import { pageOf } from '../session/store'
import { SiteBar } from '../screen/site-bar'
import { SiteScreen, type SiteScreenProps } from '../screen/site-screen'
import { buttonClass } from '../ui/button'
import { Board } from './board'
import { CardPanel } from './card-panel'
import { LibraryPanel } from './library-panel'

/** The References screen: the board at the left; the chosen card, and the local picture library, at the right. */
export function References(props: SiteScreenProps) {
  return (
    <SiteScreen {...props}>
      <Screen exportedRevision={props.exportedRevision} />
    </SiteScreen>
  )
}

const NOBODY: ReadonlySet<string> = new Set()

function Screen({ exportedRevision }: { exportedRevision: number | null }) {
  const store = useSessionStore()
  const { siteId } = store.getState()
  const page = useSession(pageOf)
  const board = useSession((state) => state.session.site.board)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(NOBODY)
  const [picking, setPicking] = useState(false)
  const [made, setMade] = useState<string>()
  const cards = board.filter((one) => chosen.has(one.id))
  return (
    <div className="flex h-screen flex-col overflow-clip">
      {/* Samples of type are set in the faces that pages may have. */}
      <link rel="stylesheet" href="/fonts.css" precedence="default" />
      <SiteBar screen="references" exportedRevision={exportedRevision}>
        <Link to={`/sites/${siteId}/pages/${page.id}/compose`} className={buttonClass('primary')}>
          On to Compose
        </Link>
      </SiteBar>
      <div className="flex min-h-0 flex-1">
        <main className="min-w-0 flex-1">
          <Board chosen={chosen} onChoose={setChosen} picking={picking} onPicked={() => setPicking(false)} onMade={setMade} />
        </main>
        <aside aria-label="Card and library" className="flex w-[300px] shrink-0 flex-col border-l border-line-strong bg-panel">
          <CardPanel cards={cards} onChoose={setChosen} picking={picking} onPick={setPicking} made={made} />
          <LibraryPanel />
        </aside>
      </div>
    </div>
  )
}
