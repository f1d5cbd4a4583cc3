import { Popover } from 'radix-ui'
import { useEffect, useState } from 'react'
import { rangesInWords, sorted } from '#core/analysis/finding'
import { whereOf } from '#core/analysis/where'
import { rangeAt } from '#core/grid/columns'
import { rangeScopes } from '#core/style/cascade'
import { keyOf, type WidthFinding } from '#core/sweep/find'
import { depthsOf, type Segment, segmentsOf } from '#core/sweep/segments'
import { SWEPT } from '#core/sweep/widths'
import { type StressName, stressOf } from '#core/stress/index'
import { StressChoice } from '../screen/stress-choice'
import { useSwept } from '../screen/use-swept'
import { useSession, useSessionStore } from '../session/context'
import { useNoted } from '../session/looked'
import { edit, makeId, pageOf, select, type SessionStore } from '../session/store'
import { FaultSign } from '../ui/fault-sign'
import { afterPaint } from '../ui/lagging'

/** Rust lines, as trouble is drawn. */
const HATCH = 'repeating-linear-gradient(135deg, rgb(168 64 31 / 0.9) 0 1.5px, rgb(168 64 31 / 0.14) 1.5px 5px)'

type Axis = (width: number) => number

/** The widths at which something is wrong, on the width ruler; each range says what, and leads to the width where it is worst. */
export function TroubleBand({ x }: { x: Axis }) {
  const store = useSessionStore()
  const [stressed, setStressed] = useState<StressName | null>(null)
  const stress = stressed === null ? undefined : stressOf(stressed)
  const { swept, share } = useSwept(stress)
  // Words are edited as they are, and with the band the views are as they were.
  const editing = useSession((state) => state.words !== null)
  useEffect(() => store.setState({ stress: stress ?? null }), [store, stress])
  useEffect(() => {
    if (editing) setStressed(null)
  }, [editing])
  useEffect(() => () => store.setState({ stress: null }), [store])
  const excuses = useSession((state) => state.session.site.excuses)
  const pageId = useSession((state) => pageOf(state).id)
  const { faults, others } = sorted(swept?.findings ?? [], excuses, pageId)
  const busy = share < 1
  useNoted('widths', swept && !busy && stressed === null ? faults.length : undefined)
  return (
    <>
      <div className="absolute right-1 top-0.5 z-10">
        <StressChoice
          stressed={stressed}
          onStress={(next) => {
            setStressed(next)
            // Keys are heard by the views again, once the list has given the focus back.
            afterPaint(() => document.querySelector<HTMLElement>('[data-stage]')?.focus())
          }}
        />
      </div>
      <p
        role="status"
        className={`pointer-events-none absolute bottom-0 right-1 bg-panel px-1 text-label ${faults.length ? 'text-rust' : 'text-ink-2'}`}
      >
        {busy
          ? `Looking at every width, ${Math.round(share * 100)} %`
          : faults.length
            ? `${faults.length} ${faults.length === 1 ? 'fault' : 'faults'} at some widths`
            : `No fault from ${SWEPT.from} to ${SWEPT.to} px${others.length ? `, ${others.length} to look at in Check` : ''}`}
      </p>
      {depthsOf(faults).map(({ from, to, depth }) => (
        <span
          key={from}
          aria-hidden
          className="pointer-events-none absolute top-[43px] h-2"
          style={{
            left: x(from),
            width: Math.max(2, x(to + 1) - x(from)),
            backgroundImage: HATCH,
            opacity: Math.min(1, 0.45 + depth * 0.2),
          }}
        />
      ))}
      {segmentsOf(faults).map((segment) => (
        <SegmentMark key={`${segment.from} ${segment.to}`} x={x} segment={segment} />
      ))}
    </>
  )
}

function SegmentMark({ x, segment }: { x: Axis; segment: Segment }) {
  const { from, to, findings } = segment
  const says = `${findings.length} ${findings.length === 1 ? 'fault' : 'faults'} at ${rangesInWords([segment])}`
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={says}
        title={says}
        data-trouble={`${from}-${to}`}
        className="absolute top-[31px] z-10 h-[22px] min-w-3"
        style={{ left: x(from), width: Math.max(12, x(to) - x(from)) }}
      />
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label={says}
          className="z-40 max-h-[60vh] w-[420px] overflow-auto rounded-2 border border-line-strong bg-panel p-3 shadow-float"
        >
          {findings.map((one) => (
            <FindingRow key={keyOf(one)} finding={one} />
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** What is wrong; pressed, it is shown at the width where it is worst. */
function FindingRow({ finding }: { finding: WidthFinding }) {
  const store = useSessionStore()
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const page = useSession(pageOf)
  const { sentence, why, ranges, worst, block } = finding
  const where = whereOf(page, finding)
  return (
    <div className="grid grid-cols-[16px_1fr] border-t border-line py-2 first:border-t-0">
      <FaultSign className="mt-1.5" />
      <Popover.Close
        className="min-h-6 text-left hover:underline"
        onClick={() => {
          showAt(store, worst)
          if (block) select(store, block)
          store.setState({ scope: rangeScopes(breakpoints)[rangeAt(breakpoints, worst)]! })
        }}
      >
        <span className="block font-semibold">
          {where && <span className="figure font-normal text-ink-2">{where}: </span>}
          {sentence}
        </span>
        <span className="figure block text-rust">{rangesInWords(ranges)}</span>
        <span className="block text-label text-ink-2">{why} Show it there.</span>
      </Popover.Close>
    </div>
  )
}

/** Gives a view a width: the one that is nearest to it. */
function showAt(store: SessionStore, width: number): void {
  const { views } = store.getState().session.site
  if (views.includes(width)) return
  const nearest = views.reduce((best, one, n) => (Math.abs(one - width) < Math.abs(views[best]! - width) ? n : best), 0)
  edit(
    store,
    { kind: 'site', field: 'views', value: views.map((one, n) => (n === nearest ? Math.max(240, width) : one)) },
    makeId(),
  )
}
