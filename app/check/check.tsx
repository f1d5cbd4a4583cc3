import { Tabs } from 'radix-ui'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { findingsOn, isAboutAccess } from '#core/analysis/checks/index'
import type { Edit } from '#core/edits/index'
import { type StressName, stressOf } from '#core/stress/index'
import { keyOf, type WidthFinding } from '#core/sweep/find'
import { SiteBar } from '../screen/site-bar'
import { SiteScreen, type SiteScreenProps } from '../screen/site-screen'
import { useSwept } from '../screen/use-swept'
import { useSession, useSessionStore } from '../session/context'
import { pageOf } from '../session/store'
import { buttonClass } from '../ui/button'
import { useRested } from '../ui/lagging'
import { AccessPart } from './access-part'
import type { Shown } from './finding-lists'
import { LaunchPart } from './launch-part'
import { PageAt } from './page-at'
import { WeightPart } from './weight-part'
import { WidthsPart } from './widths-part'
import { WordsPart } from './words-part'

/** The Check screen: what is wrong at which widths, and what is missing before launch, at the left; the page where it is worst, at the right. */
export function Check(props: SiteScreenProps) {
  return (
    <SiteScreen {...props}>
      <Screen exportedRevision={props.exportedRevision} />
    </SiteScreen>
  )
}

/** What the page is shown with: a repair that is only tried. */
export type Trial = { label: string; edit: Edit }

function Screen({ exportedRevision }: { exportedRevision: number | null }) {
  const store = useSessionStore()
  const { siteId } = store.getState()
  const page = useSession(pageOf)
  const site = useRested(useSession((state) => state.session.site))
  const [stressed, setStressed] = useState<StressName | null>(null)
  const stress = stressed === null ? undefined : stressOf(stressed)
  const { swept, share, sweeper } = useSwept(stress)
  const [chosen, setChosen] = useState<string | null>(null)
  const [trial, setTrial] = useState<Trial | null>(null)
  const [shown, setShown] = useState<Shown | null>(null)
  const rested = site.pages.find((one) => one.id === page.id) ?? page
  const launch = useMemo(() => findingsOn(site, rested), [site, rested])
  const finding = swept?.findings.find((one) => keyOf(one) === chosen) ?? null
  const choose = (one: WidthFinding | null) => {
    setChosen(one && keyOf(one))
    setTrial(null)
  }
  const busy = share < 1
  return (
    <div className="flex h-screen flex-col overflow-clip">
      <SiteBar screen="check" exportedRevision={exportedRevision}>
        <Link to={`/sites/${siteId}/pages/${page.id}/play`} className={buttonClass('primary')}>
          Play page
        </Link>
      </SiteBar>
      <main className="grid min-h-0 flex-1 grid-cols-2">
        <Tabs.Root
          defaultValue="widths"
          onValueChange={() => {
            setShown(null)
            choose(null)
          }}
          className="flex min-h-0 flex-col border-r border-line-strong bg-panel"
        >
          <div className="flex h-9 shrink-0 items-center justify-between border-b border-line-strong px-3">
            <Tabs.List aria-label="What is checked" className="flex gap-1">
              <Tab value="widths">Widths</Tab>
              <Tab value="words">Words over pictures</Tab>
              <Tab value="access">Access</Tab>
              <Tab value="launch">Launch</Tab>
              <Tab value="weight">Weight</Tab>
            </Tabs.List>
            <p role="status" className="figure px-2 text-ink-2" data-swept={busy ? undefined : swept?.widths}>
              {busy
                ? `Looking at every width, ${Math.round(share * 100)} %`
                : swept && swept.widths > 0
                  ? `${swept.widths} widths in ${(swept.took / 1000).toFixed(1)} s`
                  : ''}
            </p>
          </div>
          <Tabs.Content value="widths" className="min-h-0 flex-1 overflow-y-auto outline-none" tabIndex={-1}>
            <WidthsPart
              swept={swept}
              busy={busy}
              sweeper={sweeper}
              chosen={finding}
              onChoose={choose}
              trial={trial}
              onTry={setTrial}
              stressed={stressed}
            />
          </Tabs.Content>
          <Tabs.Content value="words" className="min-h-0 flex-1 overflow-y-auto outline-none" tabIndex={-1}>
            <WordsPart key={page.id} site={site} page={rested} onShow={setShown} />
          </Tabs.Content>
          <Tabs.Content value="access" className="min-h-0 flex-1 overflow-y-auto outline-none" tabIndex={-1}>
            <AccessPart key={page.id} findings={launch} page={rested} onShow={setShown} />
          </Tabs.Content>
          <Tabs.Content value="launch" className="min-h-0 flex-1 overflow-y-auto outline-none" tabIndex={-1}>
            <LaunchPart findings={launch.filter((one) => !isAboutAccess(one))} site={site} page={rested} onShow={setShown} />
          </Tabs.Content>
          <Tabs.Content value="weight" className="min-h-0 flex-1 overflow-y-auto outline-none" tabIndex={-1}>
            <WeightPart page={rested} onShow={setShown} />
          </Tabs.Content>
        </Tabs.Root>
        <PageAt finding={finding} trial={trial} shown={shown} stressed={stressed} onStress={setStressed} />
      </main>
    </div>
  )
}

const Tab = ({ value, children }: { value: string; children: string }) => (
  <Tabs.Trigger
    value={value}
    className="h-6 rounded-2 px-2 text-label text-ink-2 hover:bg-ground data-[state=active]:bg-ground data-[state=active]:font-semibold data-[state=active]:text-ink"
  >
    {children}
  </Tabs.Trigger>
)
