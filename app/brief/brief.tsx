import { Printer } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { answerVerdict, QUESTIONS, type Question } from '#core/analysis/brief'
import { AIM_NAMES, COMFORT_NAMES } from '#core/site/brief-words'
import { type Aim, AIMS, COMFORTS } from '#core/site/brief'
import { useSessionStore, useSession } from '../session/context'
import { pageOf } from '../session/store'
import { LivePage } from '../live/live-page'
import { BarButton } from '../screen/bar-button'
import { SiteBar } from '../screen/site-bar'
import { SiteScreen, type SiteScreenProps } from '../screen/site-screen'
import { buttonClass } from '../ui/button'
import { Choice } from '../ui/choice'
import { Prose } from '../ui/prose'
import { VerdictLine } from '../ui/verdict'
import { AuditList } from './audit'
import { Constraints } from './constraints'
import { OutlinePanel } from './outline'
import { Plate } from './plate'
import { useBrief } from './use-brief'

/** The Brief screen: what the page is for, at the left, and the page, checked against it, at the right. */
export function Brief(props: SiteScreenProps) {
  return (
    <SiteScreen {...props}>
      <Screen exportedRevision={props.exportedRevision} />
    </SiteScreen>
  )
}

function Screen({ exportedRevision }: { exportedRevision: number | null }) {
  const store = useSessionStore()
  const { siteId } = store.getState()
  const page = useSession(pageOf)
  const [marked, setMarked] = useState<string | null>(null)
  return (
    <div className="flex h-screen flex-col overflow-clip print:block print:h-auto print:overflow-visible">
      <div className="print:hidden">
        <SiteBar
          screen="brief"
          exportedRevision={exportedRevision}
          tools={
            <BarButton label="Print the brief" onClick={() => window.print()}>
              <Printer size={16} strokeWidth={1.5} />
            </BarButton>
          }
        >
          <Link to={`/sites/${siteId}/pages/${page.id}/copy`} className={buttonClass('primary')}>
            On to the copy
          </Link>
        </SiteBar>
      </div>
      <div className="flex min-h-0 flex-1 print:block">
        <main className="relative min-w-0 flex-1 overflow-y-auto border-r border-line-strong bg-panel print:overflow-visible print:border-0 print:bg-field">
          <Sheet onShow={setMarked} />
        </main>
        <aside aria-label="The page" className="flex w-[44%] shrink-0 flex-col print:hidden">
          <PageSide marked={marked} />
        </aside>
      </div>
    </div>
  )
}

function PageSide({ marked }: { marked: string | null }) {
  const empty = useSession((state) => pageOf(state).sections.length === 0)
  const [outline, setOutline] = useState(false)
  return (
    <>
      <div className="flex h-9 shrink-0 items-center justify-between border-b border-line-strong bg-ground px-3">
        <span className="text-label text-ink-2">{outline || empty ? 'Starting outline' : 'The page as it stands, at 1280 px'}</span>
        {!empty && (
          <button type="button" className="min-h-6 text-label underline" onClick={() => setOutline(!outline)}>
            {outline ? 'Back to the page' : 'Starting outline'}
          </button>
        )}
      </div>
      <div className="min-h-0 flex-1">
        {outline || empty ? <OutlinePanel onTaken={() => setOutline(false)} /> : <LivePage width={1280} marked={marked} />}
      </div>
    </>
  )
}

const AIM_OPTIONS = AIMS.map((value) => ({ value, label: AIM_NAMES[value] }))
const PAGE_AIMS: { value: Aim | 'site'; label: string }[] = [{ value: 'site', label: 'As the site' }, ...AIM_OPTIONS]
const COMFORT_OPTIONS = COMFORTS.map((value) => ({ value, label: COMFORT_NAMES[value] }))

const HINTS: Record<Question, string> = {
  what: 'What is offered, in words that visitors use themselves',
  why: 'What it spares them, or what it gives them that nothing else does',
  now: 'The one action, as the button says it',
}

function Sheet({ onShow }: { onShow: (block: string | null) => void }) {
  const { site, page, setSite, setPage } = useBrief()
  const { brief } = site
  return (
    <div className="mx-auto max-w-[760px] px-6 py-5 print:max-w-none print:p-0 print:[zoom:0.66]">
      <h1 className="text-title font-semibold">Brief for {site.name}</h1>
      <p className="text-ink-2">
        The site’s, with a part for <strong className="font-semibold">{page.name}</strong>.
      </p>
      <Plate number={1} title="Visitors">
        <div className="grid grid-cols-2 gap-3">
          <Prose
            label="Who visits"
            placeholder="Who they are, how they come here, what they know already"
            value={brief.visitors}
            onChange={(visitors, gesture) => setSite({ visitors }, gesture)}
          />
          <Prose
            label="Why they come"
            placeholder="What they are after, in their own words"
            value={brief.reasons}
            onChange={(reasons, gesture) => setSite({ reasons }, gesture)}
          />
          <div>
            <span className="block text-label text-ink-2">How at home they are on the web</span>
            <Choice
              className="w-full"
              label="How at home they are on the web"
              value={brief.comfort}
              options={COMFORT_OPTIONS}
              onChange={(comfort) => setSite({ comfort })}
            />
          </div>
          <Prose
            label="Tone"
            placeholder="Plain, warm, exact …"
            value={brief.tone}
            onChange={(tone, gesture) => setSite({ tone }, gesture)}
          />
        </div>
      </Plate>
      <Plate number={2} title="The one wanted action">
        <div className="grid grid-cols-[110px_120px_1fr] items-center gap-x-3 gap-y-2">
          <span className="text-label text-ink-2">Whole site</span>
          <Choice
            className="w-full"
            label="Aim of the site"
            placeholder="Choose an aim"
            value={brief.aim}
            options={AIM_OPTIONS}
            onChange={(aim) => setSite({ aim })}
          />
          <Prose
            hidden
            label="The action of the site, in words"
            placeholder="As the button says it"
            most={400}
            value={brief.action}
            onChange={(action, gesture) => setSite({ action }, gesture)}
          />
          <span className="truncate text-label text-ink-2">{page.name}</span>
          <Choice
            className="w-full"
            label={`Aim of ${page.name}`}
            value={page.brief.aim ?? 'site'}
            options={PAGE_AIMS}
            onChange={(aim) => setPage({ aim: aim === 'site' ? null : aim })}
          />
          <Prose
            hidden
            label={`The action of ${page.name}, in words`}
            placeholder={brief.action || 'As the site'}
            most={400}
            value={page.brief.action}
            onChange={(action, gesture) => setPage({ action }, gesture)}
          />
        </div>
      </Plate>
      <Plate number={3} title={`What the opening of ${page.name} answers`}>
        <div className="flex flex-col gap-2.5">
          {(Object.keys(QUESTIONS) as Question[]).map((question) => (
            <Answer key={question} question={question} hint={HINTS[question]} onShow={onShow} />
          ))}
        </div>
      </Plate>
      <Plate number={4} title="Constraints">
        <Constraints onShow={onShow} />
      </Plate>
      <Plate number={5} title="Audit of today’s page">
        <AuditList onShow={onShow} />
      </Plate>
    </div>
  )
}

function Answer({ question, hint, onShow }: { question: Question; hint: string; onShow: (block: string | null) => void }) {
  const { site, page, setPage } = useBrief()
  const verdict = useMemo(() => answerVerdict(question, page, site), [question, page, site])
  return (
    <div className="grid grid-cols-[1fr_210px] items-end gap-3">
      <Prose
        label={QUESTIONS[question]}
        placeholder={hint}
        value={page.brief[question]}
        onChange={(value, gesture) => setPage({ [question]: value }, gesture)}
      />
      <div className="pb-1">
        <VerdictLine ok={verdict.ok} onShow={verdict.block ? () => onShow(verdict.block!) : undefined}>
          {verdict.sentence}
        </VerdictLine>
      </div>
    </div>
  )
}
