import { useState } from 'react'
import { type Change, endOf, FADE, LONGEST, type Timing, type Track, TRACKS, type Way } from '#core/blocks/change'
import type { BlockOf } from '#core/blocks/index'
import { ColumnHead, Finding, Row } from '../../fields/row'
import { useSessionStore } from '../../session/context'
import { edit } from '../../session/store'
import { NumberField } from '../../ui/number-field'
import { CurveRow } from './curve-row'
import { shownSeconds, TimeAxis, TRACK_NAMES } from './time-axis'

type Away = Change['away']
type Part = {
  name: keyof Away
  track: Track
  label: string
  unit: string
  least: number
  most: number
  step: number
  rest: number
  per: number
}

/** What a block that is not shown may be, in the units of the field; `per` is one of the file's in them. */
const PARTS: Part[] = [
  { name: 'opacity', track: 'opacity', label: 'Opacity', unit: '%', least: 0, most: 100, step: 5, rest: 100, per: 100 },
  { name: 'across', track: 'move', label: 'Across', unit: 'px', least: -5000, most: 5000, step: 10, rest: 0, per: 1 },
  { name: 'down', track: 'move', label: 'Down', unit: 'px', least: -5000, most: 5000, step: 10, rest: 0, per: 1 },
  { name: 'scale', track: 'scale', label: 'Scale', unit: '×', least: 0, most: 10, step: 0.05, rest: 1, per: 1 },
  { name: 'blur', track: 'blur', label: 'Blur', unit: 'px', least: 0, most: 100, step: 1, rest: 0, per: 1 },
]

const NEW: Record<Way, Timing> = {
  out: { start: 0, duration: 0.3, easing: 'ease-in' },
  in: { start: 0.3, duration: 0.3, easing: 'ease-out' },
}

/** A change with one part of what is not shown set; parts that nothing changes any more have no times. */
export function withAway(change: Change, name: keyof Away, value: number | null): Change {
  const { [name]: _, ...others } = change.away
  const away: Away = value === null ? others : { ...others, [name]: value }
  const used = new Set(PARTS.filter((part) => away[part.name] !== undefined).map((part) => part.track))
  const times = (way: Way) =>
    Object.fromEntries(TRACKS.filter((track) => used.has(track)).map((track) => [track, change[way][track] ?? NEW[way]]))
  return { away, out: times('out'), in: times('in') }
}

/** How one block of a group gives way to another: what is not shown looks like, and the times of each part, out and in. */
export function ChangeColumn({ block }: { block: BlockOf<'group'> }) {
  const store = useSessionStore()
  const [chosen, setChosen] = useState<{ way: Way; track: Track } | null>(null)
  const { change } = block
  const set = (next: Change | null, gesture?: string) =>
    edit(store, { kind: 'field', block: block.id, field: 'change', value: next }, gesture)
  if (!change)
    return (
      <div>
        <ColumnHead title="Change" note="at once" />
        <button
          type="button"
          className="h-[26px] w-full rounded-2 border border-line-strong bg-field hover:border-ink"
          onClick={() => set(FADE)}
        >
          Let one fade before the other
        </button>
        <Finding well>One block takes the place of the other at once.</Finding>
      </div>
    )
  const seconds = shownSeconds([change.out, change.in])
  const timing = chosen && change[chosen.way][chosen.track]
  const setTiming = (way: Way, track: Track, next: Timing, gesture?: string) =>
    set({ ...change, [way]: { ...change[way], [track]: next } }, gesture)
  return (
    <div>
      <ColumnHead title="Change" note={`${endOf(change.out)} s out, ${endOf(change.in)} s in`} />
      <div className="grid grid-cols-2 gap-x-2 gap-y-1">
        {PARTS.map(({ name, label, unit, least, most, step, rest, per }) => (
          <label key={name} className="flex items-center gap-1">
            <span className="w-[46px] shrink-0 text-label text-ink-2">{label}</span>
            <NumberField
              className="min-w-0 flex-1"
              label={`${label} of what is not shown`}
              unit={unit}
              placeholder={String(rest)}
              value={change.away[name] === undefined ? null : Number((change.away[name] * per).toFixed(2))}
              least={least}
              most={most}
              step={step}
              onClear={() => set(withAway(change, name, null))}
              onChange={(value) => set(withAway(change, name, value === rest ? null : value / per))}
            />
          </label>
        ))}
      </div>
      {(['out', 'in'] as const).map((way) => (
        <TimeAxis
          key={way}
          label={way === 'out' ? 'Out' : 'In'}
          timings={change[way]}
          seconds={seconds}
          chosen={chosen?.way === way ? chosen.track : null}
          onChoose={(track) => setChosen({ way, track })}
          onChange={(track, next, gesture) => setTiming(way, track, next, gesture)}
        />
      ))}
      {chosen && timing && (
        <>
          <Row label={`${TRACK_NAMES[chosen.track]} ${chosen.way}`}>
            {(['start', 'duration'] as const).map((name) => (
              <NumberField
                key={name}
                className="min-w-0 flex-1"
                label={name === 'start' ? 'Begins after' : 'Takes'}
                prefix={name === 'start' ? 'at' : 'for'}
                unit="s"
                value={timing[name]}
                least={0}
                most={LONGEST}
                step={0.05}
                onChange={(value) => setTiming(chosen.way, chosen.track, { ...timing, [name]: value })}
              />
            ))}
          </Row>
          <CurveRow
            label={`${TRACK_NAMES[chosen.track].toLowerCase()} ${chosen.way}`}
            easing={timing.easing ?? 'ease'}
            onChange={(easing, gesture) => setTiming(chosen.way, chosen.track, { ...timing, easing }, gesture)}
          />
        </>
      )}
      <Finding well>At once for those who want no motion. Play shows it, also slowly.</Finding>
    </div>
  )
}
