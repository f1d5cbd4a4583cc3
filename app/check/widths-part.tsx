import { useState } from 'react'
import { sorted } from '#core/analysis/finding'
import { excuseOf } from '#core/site/excuse'
import { type StressName, stressOf } from '#core/stress/index'
import { keyOf, type WidthFinding } from '#core/sweep/find'
import { type Gathered, gathered } from '#core/sweep/gathered'
import { cleanStretch } from '#core/sweep/segments'
import { useSession } from '../session/context'
import { useNoted } from '../session/looked'
import { pageOf } from '../session/store'
import type { Sweeper, Swept } from '../live/sweep/sweeper'
import type { Trial } from './check'
import { Chart } from './chart'
import { FindingRow } from './finding-row'
import { PartHead } from './part-head'

type WidthsPartProps = {
  swept: Swept | null
  /** True while it is run through again. */
  busy: boolean
  sweeper: Sweeper | null
  chosen: WidthFinding | null
  onChoose: (finding: WidthFinding | null) => void
  trial: Trial | null
  onTry: (trial: Trial | null) => void
  /** What the page is put to meanwhile. */
  stressed: StressName | null
}

/** What is wrong at which widths: as a chart by section, and in sentences, the worst first. */
export function WidthsPart({ swept, busy, sweeper, chosen, onChoose, trial, onTry, stressed }: WidthsPartProps) {
  const page = useSession(pageOf)
  const excuses = useSession((state) => state.session.site.excuses)
  const [all, setAll] = useState(false)
  const { faults, others, excused } = sorted(swept?.findings ?? [], excuses, page.id)
  useNoted('widths', swept && !busy && stressed === null ? faults.length : undefined)
  const lines = gathered(others)
  const only = stressed === null ? undefined : stressOf(stressed).widths
  const at = only && `${only.join(', ').replace(/, (?=\d+$)/, ' and ')} px`
  const isChosen = (one: Gathered) => chosen !== null && [one, ...(one.with ?? [])].some((each) => keyOf(each) === keyOf(chosen))
  const row = (one: Gathered) => (
    <FindingRow
      key={keyOf(one)}
      finding={one}
      excuse={excuseOf(excuses, page.id, one)}
      swept={swept}
      sweeper={sweeper}
      chosen={isChosen(one)}
      onChoose={onChoose}
      trial={trial}
      onTry={onTry}
    />
  )
  return (
    <>
      <section className="px-5 pb-3 pt-3" aria-labelledby="widths-title">
        <PartHead id="widths-title" number={1} title={stressed === null ? 'Widths' : `Widths: ${stressOf(stressed).label}`}>
          <span className="ml-auto text-label text-ink-2" data-faults={swept ? faults.length : undefined}>
            {swept && summary(faults, lines.length, at)}
          </span>
        </PartHead>
        <Chart sections={page.sections} findings={[...faults, ...others]} chosen={chosen} onChoose={onChoose} />
      </section>
      {swept && faults.length === 0 && (
        <p className="flex items-center gap-2 border-t border-line px-5 py-2.5 text-ink-2">
          <span aria-hidden className="h-2 w-2 rounded-full bg-reed" /> Nothing is cut off, broken or out of reach{' '}
          {at === undefined ? 'at any width' : `at ${at}`}.
        </p>
      )}
      <ul aria-label="Faults">{faults.map(row)}</ul>
      {lines.length > 0 && (
        <>
          <h3 className="border-t border-line-strong px-5 pb-1.5 pt-3 text-label font-semibold">For your eye: {lines.length}</h3>
          <ul aria-label="For your eye">{(all ? lines : lines.slice(0, SHOWN)).map(row)}</ul>
          {lines.length > SHOWN && !all && (
            <button type="button" className="min-h-6 px-5 py-1.5 text-label underline" onClick={() => setAll(true)}>
              Show the other {lines.length - SHOWN}
            </button>
          )}
        </>
      )}
      {excused.length > 0 && (
        <>
          <h3 className="border-t border-line-strong px-5 pb-1.5 pt-3 text-label font-semibold">
            Not faults here: {excused.length}
          </h3>
          <ul aria-label="Not faults here">{excused.map(row)}</ul>
        </>
      )}
    </>
  )
}

/** How many are listed before one asks for more. */
const SHOWN = 12

function summary(faults: readonly WidthFinding[], others: number, at: string | undefined): string {
  if (faults.length === 0) return others === 0 ? `clean at ${at ?? 'every width'}` : `no faults, ${others} for your eye`
  const sections = new Set(faults.map((one) => one.section)).size
  // Between single widths nothing is known.
  const clean = at === undefined ? cleanStretch(faults) : undefined
  return `${faults.length} ${faults.length === 1 ? 'fault' : 'faults'} in ${sections} ${sections === 1 ? 'section' : 'sections'}${clean ? `, clean from ${clean.from} to ${clean.to}` : ''}`
}
