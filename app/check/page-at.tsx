import type { WidthFinding } from '#core/sweep/find'
import { rangeAt } from '#core/grid/columns'
import { LivePage } from '../live/live-page'
import { useSession } from '../session/context'
import { useState } from 'react'
import type { Shown } from './finding-lists'
import { type StressName, stressOf } from '#core/stress/index'
import { StressChoice } from '../screen/stress-choice'
import type { Trial } from './check'
import { FocusWay } from './focus-way'

/** Width that the page is shown at while nothing is chosen, px. */
const USUAL = 1280

type PageAtProps = {
  finding: WidthFinding | null
  trial: Trial | null
  shown: Shown | null
  stressed: StressName | null
  onStress: (stress: StressName | null) => void
}

/** The page at the width at which what is chosen is worst, before and after the repair that is tried. */
export function PageAt({ finding, trial, shown, stressed, onStress }: PageAtProps) {
  const [before, setBefore] = useState<Trial | null>(null)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const stress = stressed === null ? undefined : stressOf(stressed)
  const width = shown?.width ?? finding?.worst ?? stress?.widths?.[0] ?? USUAL
  const order = shown?.order
  const { columns, gutter } = breakpoints[rangeAt(breakpoints, width)]!
  return (
    <section aria-label="The page where it is worst" className="flex min-h-0 min-w-0 flex-col bg-ground">
      <div className="flex h-9 shrink-0 items-center gap-3 px-3">
        <span className="figure bg-ink px-1.5 py-px text-on-ink" data-worst={width}>
          {width}
        </span>
        <span className={`truncate text-label text-ink-2 ${trial ? 'hidden' : ''}`}>
          {shown ? '' : finding ? 'the worst width of this finding, ' : ''}
          {columns} columns, {gutter} gutter
        </span>
        <StressChoice stressed={stressed} onStress={onStress} />
        {trial && (
          <span className="flex" role="group" aria-label="The page before and after the repair">
            <button type="button" className={SIDE} aria-pressed={before === trial} onClick={() => setBefore(trial)}>
              Before
            </button>
            <button type="button" className={SIDE} aria-pressed={before !== trial} onClick={() => setBefore(null)}>
              After: {trial.label}
            </button>
          </span>
        )}
      </div>
      <div className="mx-auto min-h-0 w-full flex-1 px-3 pb-3" style={{ maxWidth: width + 24 }}>
        <LivePage
          key={width}
          width={width}
          tried={trial && before !== trial ? trial.edit : undefined}
          stress={stress}
          marked={shown ? shown.block : (finding?.block ?? null)}
          over={order && ((scale) => <FocusWay order={order} scale={scale} />)}
          label={`The page at ${width} px`}
        />
      </div>
    </section>
  )
}

const SIDE =
  'h-6 whitespace-nowrap border border-line-strong bg-field px-2.5 text-label first:rounded-l-2 last:rounded-r-2 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-on-ink'
