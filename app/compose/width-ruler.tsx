import { Plus, TriangleAlert } from 'lucide-react'
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import type { Breakpoint } from '#core/grid/breakpoint'
import { IconButton } from '../ui/button'
import { useSessionStore, useSession } from '../session/context'
import { later } from '../ui/later'
import { GridSettings } from './grid-settings'
import { edit, makeId } from '../session/store'

const TroubleBand = later(async () => (await import('./trouble-band')).TroubleBand)

const LEAST = 320
const MOST = 1920
const SIDE = 24

/** From px of a viewport to px of the ruler, no further than its ends, and back. */
type Axis = ((width: number) => number) & { invert: (x: number) => number }

function axisOf(length: number): Axis {
  const [start, end] = [SIDE, length - SIDE]
  const within = (value: number, a: number, b: number) => Math.min(Math.max(a, b), Math.max(Math.min(a, b), value))
  const to = (width: number) => start + ((within(width, LEAST, MOST) - LEAST) / (MOST - LEAST)) * (end - start)
  const from = (x: number) => LEAST + ((within(x, start, end) - start) / (end - start)) * (MOST - LEAST)
  return Object.assign(to, { invert: from })
}

/** Widths that have a mark, px. */
const TICKS = Array.from({ length: Math.floor((MOST - LEAST) / 20) + 1 }, (_, i) => LEAST + i * 20)

/** The axis above the views: views and breakpoints stand on it. */
export function WidthRuler() {
  const element = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(800)
  useEffect(() => {
    const observer = new ResizeObserver(() => setWidth(element.current!.clientWidth))
    observer.observe(element.current!)
    return () => observer.disconnect()
  }, [])
  const x = axisOf(width)
  const store = useSessionStore()
  const trouble = useSession((state) => state.troubleOpen)
  return (
    <div className="flex h-[54px] border-b border-line-strong bg-panel">
      <div ref={element} className="relative min-w-0 flex-1" data-ruler>
        <svg aria-hidden className="absolute inset-0 h-full w-full">
          <line x1={x(LEAST)} x2={x(MOST)} y1={30} y2={30} stroke="#44564B" />
          {TICKS.map((tick) => (
            <line key={tick} x1={x(tick)} x2={x(tick)} y1={tick % 160 === 0 ? 21 : 26} y2={30} stroke="#44564B" />
          ))}
          {Array.from({ length: 11 }, (_, i) => LEAST + i * 160).map((tick) => (
            <text key={tick} x={x(tick)} y={17} textAnchor="middle" className="figure" fontSize="11" fill="#5F7166">
              {tick}
            </text>
          ))}
        </svg>
        <Markers x={x} />
        {trouble && <TroubleBand x={x} />}
      </div>
      <div className="flex items-center gap-1 border-l border-line px-2">
        <IconButton
          label="Trouble band: widths at which something is wrong (E)"
          pressed={trouble}
          onClick={() => store.setState({ troubleOpen: !trouble })}
        >
          <TriangleAlert size={16} strokeWidth={1.5} />
        </IconButton>
        <AddView />
        <GridSettings />
      </div>
    </div>
  )
}

function Markers({ x }: { x: Axis }) {
  const store = useSessionStore()
  const views = useSession((state) => state.session.site.views)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const setViews = (next: number[], gesture: string) => edit(store, { kind: 'site', field: 'views', value: next }, gesture)
  const setBreakpoints = (next: Breakpoint[], gesture: string) =>
    edit(store, { kind: 'site', field: 'breakpoints', value: next }, gesture)

  return (
    <>
      {breakpoints.map((one, index) => {
        if (one.below === null) return null
        const upper = index === 1 ? MOST : breakpoints[index - 1]!.below! - 1
        const lower = (breakpoints[index + 1]?.below ?? 240) + 1
        return (
          <Marker
            key={one.id}
            at={one.below}
            x={x}
            label={`Breakpoint below ${one.below} px`}
            className="top-0 h-[52px] w-6 -translate-x-1/2"
            onMove={(to, gesture) =>
              setBreakpoints(
                breakpoints.map((other) => (other === one ? { ...one, below: Math.min(upper, Math.max(lower, to)) } : other)),
                gesture,
              )
            }
            onRemove={() =>
              setBreakpoints(
                breakpoints.filter((other) => other !== one),
                makeId(),
              )
            }
          >
            <span className="absolute left-1/2 top-0 h-full -translate-x-1/2 border-l-2 border-dotted border-reed" />
            <span className="absolute left-1/2 top-0 h-[7px] w-[9px] -translate-x-1/2 bg-reed" />
          </Marker>
        )
      })}
      {views.map((width, index) => (
        <Marker
          key={index}
          at={width}
          x={x}
          label={`View at ${width} px`}
          className="top-[27px] flex h-6 -translate-x-[7px] items-center gap-1.5"
          onMove={(to, gesture) =>
            setViews(
              views.map((other, i) => (i === index ? to : other)),
              gesture,
            )
          }
          onRemove={() => {
            if (views.length > 1)
              setViews(
                views.filter((_, i) => i !== index),
                makeId(),
              )
          }}
        >
          <svg aria-hidden width="14" height="12" viewBox="0 0 14 12">
            <path d="M0 0h14v7l-7 5-7-5z" fill="#16211B" />
          </svg>
          <span className="figure text-ink">{width}</span>
        </Marker>
      ))}
    </>
  )
}

type MarkerProps = {
  at: number
  x: Axis
  label: string
  className: string
  children: React.ReactNode
  onMove: (to: number, gesture: string) => void
  onRemove: () => void
}

/** A mark on the ruler: drag it, move it with the arrow keys (10 px with Shift), take it away with Delete. */
function Marker({ at, x, label, className, children, onMove, onRemove }: MarkerProps) {
  const drag = useRef<{ gesture: string; offset: number } | null>(null)
  const keys = useRef(makeId())
  const clamp = (width: number) => Math.min(MOST, Math.max(LEAST, Math.round(width)))

  const onPointerDown = (event: PointerEvent<HTMLButtonElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    drag.current = { gesture: makeId(), offset: event.clientX - x(at) }
  }
  const onPointerMove = (event: PointerEvent<HTMLButtonElement>) => {
    const { current } = drag
    if (!current) return
    const to = clamp(x.invert(event.clientX - current.offset))
    if (to !== at) onMove(to, current.gesture)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLButtonElement>) => {
    const step = event.shiftKey ? 10 : 1
    if (event.key === 'ArrowLeft') onMove(clamp(at - step), keys.current)
    else if (event.key === 'ArrowRight') onMove(clamp(at + step), keys.current)
    else if (event.key === 'Delete' || event.key === 'Backspace') onRemove()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <button
      type="button"
      aria-label={`${label}. Arrow keys move it, Delete removes it.`}
      title={`${label}. Drag to move, Delete to remove.`}
      className={`absolute touch-none cursor-ew-resize ${className}`}
      style={{ left: x(at) }}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={() => (drag.current = null)}
      onFocus={() => (keys.current = makeId())}
      onKeyDown={onKeyDown}
    >
      {children}
    </button>
  )
}

/** Adds a view in the widest gap between the present ones. */
function AddView() {
  const store = useSessionStore()
  const views = useSession((state) => state.session.site.views)
  const add = () => {
    const stops = [LEAST, ...views, MOST].sort((a, b) => a - b)
    let best = 0
    for (let i = 1; i < stops.length; i++) if (stops[i]! - stops[i - 1]! > stops[best + 1]! - stops[best]!) best = i - 1
    const width = Math.round((stops[best]! + stops[best + 1]!) / 2 / 10) * 10
    edit(store, { kind: 'site', field: 'views', value: [...views, width].sort((a, b) => b - a) })
  }
  return (
    <IconButton label={views.length >= 6 ? 'Six views at most' : 'Add a view'} disabled={views.length >= 6} onClick={add}>
      <Plus size={16} strokeWidth={1.5} />
    </IconButton>
  )
}
