import { type PointerEvent, useRef } from 'react'
import { endOf, LONGEST, type Timing, type Timings, type Track, TRACKS } from '#core/blocks/change'
import { useAsked } from '../../ui/asked'
import { newGesture } from '../../fields/use-style'
import { arrowSteps } from '../arrow-steps'
import { followPointer } from '../follow-pointer'

/** Seconds that a drag and an arrow key go by; ten times that with Shift. */
const STEP = 0.05
/** Width of what an end is caught by, px. */
const END = 8

export const TRACK_NAMES: Record<Track, string> = { opacity: 'Opacity', move: 'Offset', scale: 'Scale', blur: 'Blur' }

const rounded = (seconds: number) => Number((Math.round(seconds / STEP) * STEP).toFixed(2))
const clamped = (seconds: number, least: number, most: number) => Math.min(most, Math.max(least, seconds))

/** A time with one of its ends, or the whole, moved by some seconds; none goes below 0 or past the longest change. */
export function movedTiming({ start, duration, ...rest }: Timing, part: 'start' | 'end' | 'whole', by: number): Timing {
  const end = start + duration
  if (part === 'end') return { ...rest, start, duration: rounded(clamped(duration + by, STEP, LONGEST - start)) }
  const moved = rounded(clamped(start + by, 0, part === 'start' ? end - STEP : LONGEST - duration))
  return { ...rest, start: moved, duration: part === 'start' ? rounded(end - moved) : duration }
}

/** The seconds that an axis shows: as many whole halves as the longest of some ways needs, one at least. */
export const shownSeconds = (ways: readonly Timings[]): number =>
  Math.max(1, Math.ceil(Math.max(...ways.map(endOf)) * 2 + 0.01) / 2)

type TimeAxisProps = {
  label: string
  timings: Timings
  /** Seconds from one end of the axis to the other. */
  seconds: number
  chosen: Track | null
  onChoose: (track: Track) => void
  onChange: (track: Track, timing: Timing, gesture?: string) => void
}

/** The times of the parts of a change as bars on an axis: dragged as a whole or by their ends, or moved by the arrow keys. */
export function TimeAxis({ label, timings, seconds, chosen, onChoose, onChange }: TimeAxisProps) {
  const marks = Array.from({ length: Math.round(seconds * 4) + 1 }, (_, i) => i / 4)
  const at = (time: number) => `${(time / seconds) * 100}%`
  return (
    <div role="group" aria-label={label} data-time-axis className="mt-1">
      <div aria-hidden className="figure relative ml-[58px] h-[15px] whitespace-nowrap text-[10px] text-muted">
        <span className="absolute -left-[58px] -top-0.5 font-semibold text-ink">{label}</span>
        {marks
          .filter((time) => time % 0.5 === 0)
          .map((time) => (
            <span key={time} className={`absolute ${time === seconds ? '-translate-x-full' : ''}`} style={{ left: at(time) }}>
              {time} s
            </span>
          ))}
      </div>
      {TRACKS.filter((track) => timings[track]).map((track) => (
        <div key={track} className="flex h-[22px] items-center">
          <span className="w-[58px] shrink-0 text-label text-ink-2">{TRACK_NAMES[track]}</span>
          <div className="relative h-full min-w-0 flex-1 bg-field">
            {marks.map((time) => (
              <span
                key={time}
                aria-hidden
                className={`absolute inset-y-0 border-l ${time % 0.5 === 0 ? 'border-line-strong' : 'border-line'}`}
                style={{ left: at(time) }}
              />
            ))}
            <Bar
              name={`${TRACK_NAMES[track]}, ${label.toLowerCase()}`}
              timing={timings[track]!}
              seconds={seconds}
              chosen={chosen === track}
              onChoose={() => onChoose(track)}
              onChange={(timing, gesture) => onChange(track, timing, gesture)}
            />
          </div>
        </div>
      ))}
    </div>
  )
}

type BarProps = {
  name: string
  timing: Timing
  seconds: number
  chosen: boolean
  onChoose: () => void
  onChange: (timing: Timing, gesture?: string) => void
}

function Bar({ name, timing, seconds, chosen, onChoose, onChange }: BarProps) {
  const keys = useRef(newGesture())
  const [newest, ask] = useAsked(timing)
  const said = `${timing.start} s to ${rounded(timing.start + timing.duration)} s`
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    onChoose()
    const bar = event.currentTarget
    const axis = bar.parentElement!.getBoundingClientRect()
    const { left, right } = bar.getBoundingClientRect()
    const part = event.clientX < left + END ? 'start' : event.clientX > right - END ? 'end' : 'whole'
    const from = event.clientX
    const gesture = newGesture()
    followPointer({
      move: (now) => onChange(movedTiming(timing, part, ((now.clientX - from) / axis.width) * seconds), gesture),
      end: () => undefined,
    })
  }
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={0}
      aria-valuemax={LONGEST}
      aria-valuenow={timing.start}
      aria-valuetext={said}
      title={`${said}. Drag it, or one of its ends; the arrow keys move it, with Alt its end`}
      className={`absolute inset-y-[3px] min-w-1.5 cursor-grab touch-none border-x-2 ${chosen ? 'border-ink bg-yarrow' : 'border-ink-2 bg-ink'}`}
      style={{ left: `${(timing.start / seconds) * 100}%`, width: `${(timing.duration / seconds) * 100}%` }}
      onPointerDown={onPointerDown}
      onKeyDown={arrowSteps(
        STEP,
        (by, { altKey }) => {
          const next = movedTiming(newest(), altKey ? 'end' : 'whole', by)
          ask(next)
          onChange(next, keys.current)
        },
        'across',
      )}
      onFocus={() => {
        keys.current = newGesture()
        onChoose()
      }}
    />
  )
}
