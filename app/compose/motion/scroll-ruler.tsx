import { Pause, Play, RotateCcw } from 'lucide-react'
import { type PointerEvent, memo, type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { furthest } from '#core/motion/scene'
import { useFrames } from '../../live/frames'
import { useSession, useSessionStore } from '../../session/context'
import { Choice } from '../../ui/choice'
import { RUNNING, runOrStop } from '../commands'
import { arrowSteps } from '../arrow-steps'
import { followPointer } from '../follow-pointer'
import { pageOfScreen, sameIn, screenOf } from './axis'
import { Bars } from './bars'
import { leadView } from './lead'
import { useMoving } from './use-moving'
import { type Moving, showAt } from '../../live/moving'
import { WindowLines } from './window-lines'

/** Speeds at which the page is scrolled, px per second. */
const SPEEDS = [100, 200, 400, 800, 1600]
/** Width of the axis with its figures, px. */
const AXIS = 50

type ScrollRulerProps = { stage: RefObject<HTMLDivElement | null>; left: number; width: number; top: number; height: number }

/** The axis along the height of the page: motions stand on it as bars, and the playhead says at which scroll the views are shown. */
export function ScrollRuler({ stage, left, width, top, height }: ScrollRulerProps) {
  const store = useSessionStore()
  const frames = useFrames()
  const layout = useSession((state) => state.layout)
  const { of, open } = useMoving(layout)
  const playhead = useSession((state) => state.playhead)
  const running = useSession((state) => state.running)
  useSession((state) => state.scope)
  const [speed, setSpeed] = useState(RUNNING)
  const lead = leadView(frames, store.getState())
  const moving = lead && of(lead)
  const end = moving ? furthest(moving.scene) : 0

  // All views are shown at the same place of the page as the one that leads.
  useLayoutEffect(() => {
    if (!moving) return
    for (const { view, moving: own } of open()) {
      const scroll = playhead === null ? null : view === lead ? playhead : sameIn(moving.sections, own.sections, playhead)
      showAt(view, scroll === null ? null : { scroll, ...(running === null ? {} : { speed: running }) })
    }
    // What is asked of a layout is the same as long as that is.
    // oxlint-disable-next-line react/exhaustive-deps -- `open` is of the layout
  }, [layout, playhead, running, moving, lead])
  useEffect(
    () => () => {
      for (const view of frames.values()) showAt(view, null)
    },
    [frames],
  )

  // What is drawn over the views stands where they show it, once the playhead stands.
  useEffect(() => {
    if (running !== null) return
    const timer = setTimeout(() => store.setState(({ layout: now }) => ({ layout: now + 1 })), 120)
    return () => clearTimeout(timer)
  }, [store, playhead, running])

  useEffect(() => {
    if (running === null) return
    let before: number | undefined
    let frame = requestAnimationFrame(function step(now) {
      const from = store.getState().playhead ?? 0
      const to = Math.min(end, from + ((now - (before ?? now)) / 1000) * running)
      before = now
      store.setState(to >= end ? { playhead: end, running: null } : { playhead: to })
      if (to < end) frame = requestAnimationFrame(step)
    })
    return () => cancelAnimationFrame(frame)
  }, [store, running, end])

  // While it runs, the stage follows as a window would.
  useEffect(() => {
    if (running === null || playhead === null || !moving || !lead) return
    stage.current?.scrollTo({ top: Math.max(0, screenOf(moving.sections, lead.scale, playhead) - 40) })
  }, [stage, running, playhead, moving, lead])

  if (!lead || !moving) return null
  const y = (px: number) => screenOf(moving.sections, lead.scale, px)
  const set = (px: number) => store.setState({ playhead: Math.min(end, Math.max(0, px)), running: null })
  return (
    <>
      <div
        data-scroll-ruler
        className="absolute bg-panel"
        style={{ left, top, width: width - 8, height }}
        aria-label={`Scroll ruler of the view at ${lead.width}`}
        role="group"
      >
        <Ticks moving={moving} scale={lead.scale} />
        <Bars moving={moving} view={lead} scale={lead.scale} left={AXIS} width={width - 8 - AXIS} />
        <PlayheadMark
          at={playhead}
          end={end}
          y={y}
          onMove={(at) => set(pageOfScreen(moving.sections, lead.scale, at))}
          // What the last press came to may not be drawn yet.
          onStep={(by) => set((store.getState().playhead ?? 0) + by)}
        />
      </div>
      <div className="pointer-events-none absolute left-0 top-0 h-full" style={{ left, width: width - 8, height: height + top }}>
        <div className="pointer-events-auto sticky top-0 z-30 flex h-9 items-center gap-0.5 bg-ground">
          <Tool
            label={running === null ? 'Run the playhead (Shift J)' : 'Stop the playhead (Shift J)'}
            onPress={() => {
              if (running === null && (playhead ?? 0) >= end) store.setState({ playhead: 0 })
              runOrStop(store, speed)
            }}
          >
            {running === null ? <Play size={12} /> : <Pause size={12} />}
          </Tool>
          <Tool
            label="Show the views at rest"
            disabled={playhead === null}
            onPress={() => store.setState({ playhead: null, running: null })}
          >
            <RotateCcw size={12} />
          </Tool>
          <Choice
            className="figure w-[52px] !h-6"
            label="Speed of the playhead, px per second"
            value={String(speed)}
            options={SPEEDS.map((one) => ({ value: String(one), label: String(one), note: 'px/s' }))}
            onChange={(next) => {
              setSpeed(Number(next))
              if (running !== null) store.setState({ running: Number(next) })
            }}
          />
        </div>
      </div>
      <WindowLines lead={lead} moving={moving} top={top} left={left + AXIS} />
    </>
  )
}

type ToolProps = { label: string; disabled?: boolean; onPress: () => void; children: React.ReactNode }
const Tool = ({ label, disabled = false, onPress, children }: ToolProps) => (
  <button
    type="button"
    aria-label={label}
    title={label}
    disabled={disabled}
    className="flex h-6 w-6 items-center justify-center rounded-2 text-ink-2 hover:text-ink disabled:opacity-40"
    onClick={onPress}
  >
    {children}
  </button>
)

/** px between two marks, so that they are not crowded, and between two figures. */
function stepsAt(scale: number): { mark: number; figure: number } {
  const mark = [10, 20, 50, 100, 200, 500].find((one) => one * scale >= 7) ?? 1000
  const figure = [100, 200, 400, 500, 1000, 2000].find((one) => one * scale >= 64) ?? 5000
  return { mark, figure }
}

/** The axis; a press on it sets the playhead. */
const Ticks = memo(function Ticks({ moving, scale }: { moving: Moving; scale: number }) {
  const store = useSessionStore()
  const { page } = moving.scene
  const y = (px: number) => screenOf(moving.sections, scale, px)
  const { mark, figure } = stepsAt(scale)
  const marks = Array.from({ length: Math.floor(page / mark) + 1 }, (_, i) => i * mark)
  const figures = Array.from({ length: Math.floor(page / figure) + 1 }, (_, i) => i * figure)
  return (
    <svg
      aria-hidden
      data-scroll-axis
      className="absolute inset-y-0 left-0 cursor-pointer"
      width={AXIS}
      height="100%"
      onPointerDown={(event) => {
        const px = pageOfScreen(moving.sections, scale, event.clientY - event.currentTarget.getBoundingClientRect().top)
        store.setState({ playhead: Math.min(furthest(moving.scene), Math.max(0, px)), running: null })
      }}
    >
      <line x1={AXIS - 0.5} x2={AXIS - 0.5} y1={0} y2="100%" stroke="#44564B" />
      <path d={marks.map((px) => `M${px % figure === 0 ? AXIS - 10 : AXIS - 5} ${y(px)}H${AXIS}`).join('')} stroke="#44564B" />
      {figures.map((px) => (
        <text key={px} x={AXIS - 13} y={y(px) + 4} textAnchor="end" className="figure" fontSize="11" fill="#5F7166">
          {px}
        </text>
      ))}
    </svg>
  )
})

type PlayheadProps = {
  at: number | null
  end: number
  y: (px: number) => number
  onMove: (y: number) => void
  onStep: (by: number) => void
}

/** The mark of the playhead on the axis: dragged, or moved by the arrow keys, 100 px with Shift. */
function PlayheadMark({ at, end, y, onMove, onStep }: PlayheadProps) {
  const mark = useRef<HTMLDivElement>(null)
  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    const axis = mark.current!.parentElement!
    const offset = event.clientY - axis.getBoundingClientRect().top - y(at ?? 0)
    followPointer({
      move: (now) => onMove(now.clientY - axis.getBoundingClientRect().top - offset),
      end: () => undefined,
    })
  }
  const px = Math.round(at ?? 0)
  // Moved by keys, it stays in sight; a pointer is where it looks.
  const keyed = useRef(false)
  useEffect(() => {
    if (keyed.current) mark.current?.scrollIntoView({ block: 'nearest' })
    keyed.current = false
  }, [at])
  return (
    <div
      ref={mark}
      role="slider"
      tabIndex={0}
      aria-label="Playhead"
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.round(end)}
      aria-valuenow={px}
      aria-valuetext={at === null ? 'at rest' : `${px} px`}
      title="Drag to show the page at a scroll position"
      data-playhead={at === null ? 'rest' : px}
      className={`absolute left-0 z-20 flex h-5 cursor-ns-resize touch-none scroll-mb-10 scroll-mt-24 items-center justify-end pr-2 ${at === null ? 'border border-yarrow bg-panel text-ink-2' : 'bg-yarrow text-ink'}`}
      // At the top of the page it stands under the tools, whole.
      style={{ top: Math.max(0, y(at ?? 0) - 10), width: AXIS }}
      onPointerDown={onPointerDown}
      onKeyDown={arrowSteps(10, (by) => {
        keyed.current = true
        onStep(by)
      })}
    >
      <span className="figure font-semibold">{at === null ? 'rest' : px}</span>
    </div>
  )
}
