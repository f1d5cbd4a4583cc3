import { FileUp } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { useSessionStore, useSession } from '../session/context'
import { pageOf } from '../session/store'
import { LivePage } from '../live/live-page'
import { SiteBar } from '../screen/site-bar'
import { SiteScreen, type SiteScreenProps } from '../screen/site-screen'
import { Button, buttonClass } from '../ui/button'
import { later, useWhenIdle } from '../ui/later'
import { MissingWords } from './missing-words'
import { LanguageChoice } from './language'
import { usePlacing } from './use-placing'
import { WordsPanel } from './words-panel'

const DeckEditor = later(async () => (await import('./deck-editor')).DeckEditor)
const ImportCopy = later(async () => (await import('./import-copy')).ImportCopy, { takesKeys: true })
const SearchPanel = later(async () => (await import('./search-panel')).SearchPanel, { takesKeys: true })

/** The Copy screen: the deck at the left, where its words stand in the middle, the page at the right. */
export function Copy(props: SiteScreenProps) {
  return (
    <SiteScreen {...props}>
      <Screen exportedRevision={props.exportedRevision} />
    </SiteScreen>
  )
}

/** A passage that is pointed at: the block that has it, or the unplaced words, and its text in the deck. */
export type PointedPassage = { block?: string; unplaced?: string; text: string }

function Screen({ exportedRevision }: { exportedRevision: number | null }) {
  const store = useSessionStore()
  const { siteId } = store.getState()
  const page = useSession(pageOf)
  const firstLanguage = useSession((state) => state.session.site.language)
  const [language, setLanguage] = useState(firstLanguage)
  const [pointed, setPointed] = useState<PointedPassage | null>(null)
  const [importing, setImporting] = useState(false)
  const [searching, setSearching] = useState(false)
  useWhenIdle(() => {
    ImportCopy.preload()
    SearchPanel.preload()
  })
  return (
    <div className="flex h-screen flex-col overflow-clip">
      <SiteBar screen="copy" exportedRevision={exportedRevision}>
        <Link to={`/sites/${siteId}/pages/${page.id}/compose`} className={buttonClass('primary')}>
          On to Compose
        </Link>
      </SiteBar>
      <div className="flex min-h-0 flex-1">
        <main className="flex w-[40%] min-w-0 flex-col border-r border-line-strong bg-field">
          <div className="flex h-9 shrink-0 items-center gap-2 border-b border-line-strong bg-ground px-3">
            <h1 className="shrink-0 whitespace-nowrap text-[14px] font-semibold">Copy deck</h1>
            <LanguageChoice language={language} onChange={setLanguage} />
            <span className="flex-1" />
            <Button className="!h-[26px]" aria-pressed={searching} onClick={() => setSearching(!searching)}>
              <span>
                Search<span className="max-xl:sr-only"> and replace</span>
              </span>
            </Button>
            <Button className="!h-[26px]" onClick={() => setImporting(true)}>
              <FileUp size={14} strokeWidth={1.5} /> Import
            </Button>
          </div>
          {searching && <SearchPanel language={language} onPoint={setPointed} />}
          <MissingWords language={language} />
          <DeckEditor key={language} language={language} pointed={pointed} onPoint={setPointed} />
        </main>
        <section aria-label="Where the words stand" className="flex w-[27%] min-w-0 flex-col border-r border-line-strong bg-panel">
          <WordsPanel language={language} pointed={pointed} onPoint={setPointed} />
        </section>
        <aside aria-label="The page" className="flex min-w-0 flex-1 flex-col">
          <PageSide language={language} marked={pointed?.block} onPoint={setPointed} />
        </aside>
      </div>
      {importing && <ImportCopy language={language} onClose={() => setImporting(false)} />}
    </div>
  )
}

type PageSideProps = { language: string; marked: string | undefined; onPoint: (pointed: PointedPassage) => void }

function PageSide({ language, marked, onPoint }: PageSideProps) {
  const views = useSession((state) => state.session.site.views)
  const [shown, setShown] = useState<number | 'all'>(views[0] ?? 1280)
  const placing = usePlacing()
  const widths = shown === 'all' ? views : [shown]
  return (
    <>
      <div
        className="flex h-9 shrink-0 items-center gap-1 border-b border-line-strong bg-ground px-3"
        role="group"
        aria-label="Widths shown"
      >
        {[...views, 'all' as const].map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === shown}
            className="figure h-[24px] rounded-2 border border-line-strong bg-field px-2 hover:border-ink aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink"
            onClick={() => setShown(one)}
          >
            {one === 'all' ? 'All' : one}
          </button>
        ))}
      </div>
      <div className="flex min-h-0 flex-1 gap-2 bg-ground">
        {widths.map((width) => (
          <div key={width} className="min-w-0" style={{ flex: `${width} 1 0` }}>
            <LivePage
              width={width}
              language={language}
              marked={marked}
              onPick={(block) => onPoint({ block, text: '' })}
              onDropOn={placing.dropOn}
            />
          </div>
        ))}
      </div>
    </>
  )
}
