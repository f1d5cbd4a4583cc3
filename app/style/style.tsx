import { useState } from 'react'
import { Link } from 'react-router'
import { filterValues, VISIONS, type Vision } from '#core/colour/vision'
import { currentOf, inDirection } from '#core/site/directions'
import { GuideProvider, useSessionStore, useSession } from '../session/context'
import { pageOf } from '../session/store'
import { LivePage } from '../live/live-page'
import { SiteBar } from '../screen/site-bar'
import { SiteScreen, type SiteScreenProps } from '../screen/site-screen'
import { buttonClass } from '../ui/button'
import { Comparison } from './comparison'
import { DirectionsBar, type Showing } from './directions-bar'
import { FirstGuides, isUnstyled } from './first-guides'
import { Guide } from './guide'
import { type Measured, Measures } from './measures'
import { Toggle } from './part'
import { ShownProvider, useShown } from './shown'
import { ChosenDirection } from './use-guide'

/** The Style screen: the style guide at the left; the live page, or the specimen of the guide, at the right. */
export function Style(props: SiteScreenProps) {
  return (
    <SiteScreen {...props}>
      <Screen exportedRevision={props.exportedRevision} />
    </SiteScreen>
  )
}

function Screen({ exportedRevision }: { exportedRevision: number | null }) {
  const store = useSessionStore()
  const { siteId } = store.getState()
  const whole = useSession((state) => state.session.site)
  const page = useSession(pageOf)
  const [asked, setAsked] = useState<string | null>(null)
  const [showing, setShowing] = useState<Showing>(() => (isUnstyled(store.getState().session.site) ? 'first' : 'page'))
  const [marked, setMarked] = useState<string | null>(null)
  const [vision, setVision] = useState<Vision | null>(null)
  const [measured, setMeasured] = useState<Measured>()
  const chosen = whole.directions.some((one) => one.id === asked) ? asked! : currentOf(whole).id
  const site = inDirection(whole, chosen)
  const choose = (id: string) => {
    setAsked(id)
    setShowing('page')
  }
  return (
    <ChosenDirection value={chosen}>
      <GuideProvider value={site.guide}>
        <ShownProvider value={{ show: setMarked, vision, setVision, measured }}>
          <div className="flex h-screen flex-col overflow-clip">
            {/* Faces are shown in themselves. */}
            <link rel="stylesheet" href="/fonts.css" precedence="default" />
            <SiteBar screen="style" exportedRevision={exportedRevision}>
              <Link to={`/sites/${siteId}/pages/${page.id}/play`} className={buttonClass('primary')}>
                Play page
              </Link>
            </SiteBar>
            <div className="flex min-h-0 flex-1">
              {showing === 'page' && <Guide />}
              <section aria-label="The page in its style" className="flex min-w-0 flex-1 flex-col bg-ground">
                <DirectionsBar chosen={chosen} showing={showing} onShow={setShowing} onChoose={choose} />
                {showing === 'compared' && <Comparison />}
                {showing === 'first' && <FirstGuides onTaken={choose} />}
                {showing === 'page' && <Pages direction={chosen} marked={marked} />}
              </section>
            </div>
            <VisionFilters />
            {showing === 'page' && <Measures key={chosen} site={site} page={page} onMeasured={setMeasured} />}
          </div>
        </ShownProvider>
      </GuideProvider>
    </ChosenDirection>
  )
}

/** The live page at one width or at all, or the specimen page. */
function Pages({ direction, marked }: { direction: string; marked: string | null }) {
  const views = useSession((state) => state.session.site.views)
  const name = useSession((state) => state.session.site.directions.find((one) => one.id === direction)?.name ?? '')
  const [width, setWidth] = useState<number | 'all'>(views[0]!)
  const [specimen, setSpecimen] = useState(false)
  const { vision } = useShown()
  const shown = width === 'all' ? views : [views.includes(width) ? width : views[0]!]
  return (
    <>
      <div className="flex h-9 shrink-0 items-center gap-1 px-3" role="group" aria-label="What is shown">
        <Toggle label="Page" pressed={!specimen} onPress={() => setSpecimen(false)} />
        <Toggle label="Specimen" pressed={specimen} onPress={() => setSpecimen(true)} />
        <span className="mx-1 h-4 border-l border-line-strong" />
        {views.map((one) => (
          <Toggle key={one} label={`${one} px`} pressed={width === one} onPress={() => setWidth(one)}>
            <span className="figure">{one}</span>
          </Toggle>
        ))}
        {views.length > 1 && <Toggle label="All widths" pressed={width === 'all'} onPress={() => setWidth('all')} />}
        <span className="ml-auto truncate text-label text-ink-2">{specimen ? `Every role and state of ${name}` : name}</span>
      </div>
      <div className="flex min-h-0 flex-1 gap-2 px-3 pb-3">
        {shown.map((one) => (
          <div key={one} className="min-w-0" style={{ flex: `${one} 1 0` }}>
            <LivePage
              width={one}
              direction={direction}
              specimen={specimen}
              marked={specimen ? null : marked}
              filter={vision ? `url(#seen-with-${vision})` : undefined}
              label={`The page at ${one} px`}
            />
          </div>
        ))}
      </div>
    </>
  )
}

function VisionFilters() {
  return (
    <svg aria-hidden width="0" height="0" className="absolute">
      {(Object.keys(VISIONS) as Vision[]).map((vision) => (
        <filter key={vision} id={`seen-with-${vision}`} colorInterpolationFilters="linearRGB">
          <feColorMatrix type="matrix" values={filterValues(vision)} />
        </filter>
      ))}
    </svg>
  )
}
