import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import type { Edit } from '#core/edits/index'
import { rangeAt } from '#core/grid/columns'
import { valueAt } from '#core/style/cascade'
import { ofWidths } from '#core/style/registry'
import { type StageView, boxOf, useFrames } from '../live/frames'
import { useSession, useSessionStore } from '../session/context'
import { edit, makeId, selected, type SessionStore } from '../session/store'
import { followPointer } from './follow-pointer'

/** What an arrow key moves a point by, units of its outline; ten times that with Shift. */
const STEPS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
/** Presses of arrow keys that follow each other within this time are one step of undo, ms. */
const TOGETHER = 1000

type Point = { x: number; y: number }

/** Corners of a polygon that stands somewhere in the selected block. */
type Outline = {
  name: string
  points: readonly Point[]
  /** From the units of the points to px of the screen. */
  onScreen: DOMMatrix
  unit: '' | ' %'
  least: number
  most: number
  write: (points: Point[]) => Edit
}

/** The polygons of the selected block that have points to drag: what it is cut to, or the parts of a drawing. */
function outlinesOf(store: SessionStore, view: StageView): Outline[] {
  const state = store.getState()
  const place = selected(state)
  if (!place) return []
  const { block } = place
  const { breakpoints } = state.session.site
  const frame = valueAt(block.style, 'frame', breakpoints, rangeAt(breakpoints, view.width))
  const box = boxOf(view, block.id)
  if (frame?.shape === 'polygon' && box) {
    const onScreen = new DOMMatrix([box.width / 100, 0, 0, box.height / 100, box.left, box.top])
    const write = (points: Point[]): Edit => ({
      kind: 'style',
      block: block.id,
      scope: ofWidths(state.scope),
      values: { frame: { shape: 'polygon', points } },
    })
    return [{ name: 'the polygon', points: frame.points, onScreen, unit: ' %', least: 0, most: 100, write }]
  }
  if (block.kind !== 'shape') return []
  const paths = view.frame.find(block.id)?.querySelectorAll('path') ?? []
  return block.parts.flatMap((part, at): Outline[] => {
    const inView = paths[at]?.getScreenCTM()
    if (!part.points || !inView) return []
    const onScreen = new DOMMatrix().scale(view.scale).multiply(inView)
    const write = (points: Point[]): Edit => ({
      kind: 'field',
      block: block.id,
      field: 'parts',
      value: block.parts.map((one, n) => (n === at ? { ...one, points } : one)) as never,
    })
    const name = block.parts.length === 1 ? 'the shape' : `part ${at + 1}`
    return [{ name, points: part.points, onScreen, unit: '', least: -10_000, most: 10_000, write }]
  })
}

/** The points of the selected block's polygons, to drag where they stand, or to move by arrow keys. */
export function PolygonPoints({ index }: { index: number }) {
  const store = useSessionStore()
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  useSession(selected)
  const alone = useSession((state) => state.also.length === 0 && state.words === null && state.cropping === null)
  if (!view || !alone) return null
  return outlinesOf(store, view)
    .filter(({ onScreen: { a, b, c, d } }) => a * d - b * c !== 0)
    .map((outline) => <Points key={outline.name} outline={outline} />)
}

function Points({ outline }: { outline: Outline }) {
  const store = useSessionStore()
  const pressed = useRef({ at: -1, when: 0, gesture: '' })
  const { name, points, onScreen, unit, least, most, write } = outline
  const within = (value: number) => Math.min(most, Math.max(least, Math.round(value * 10) / 10))
  const move = (at: number, to: Point, gesture: string) =>
    edit(store, write(points.map((one, n) => (n === at ? { x: within(to.x), y: within(to.y) } : one))), gesture)
  const drag = (at: number) => (event: PointerEvent<HTMLButtonElement>) => {
    event.preventDefault()
    event.stopPropagation()
    event.currentTarget.focus()
    const start = points[at]!
    const from = { x: event.clientX, y: event.clientY }
    const back = onScreen.inverse()
    const gesture = makeId()
    followPointer({
      move: ({ clientX, clientY }) => {
        const [across, down] = [clientX - from.x, clientY - from.y]
        // A distance, so where the matrix begins plays no part.
        move(at, { x: start.x + back.a * across + back.c * down, y: start.y + back.b * across + back.d * down }, gesture)
      },
      // Given up, it goes back to where it was.
      end: (release) => release === undefined && move(at, start, gesture),
    })
  }
  const onKeyDown = (at: number) => (event: KeyboardEvent) => {
    const step = STEPS[event.key]
    if (!step) return
    event.preventDefault()
    event.stopPropagation()
    const by = event.shiftKey ? 10 : 1
    const now = Date.now()
    const goesOn = pressed.current.at === at && now - pressed.current.when < TOGETHER
    pressed.current = { at, when: now, gesture: goesOn ? pressed.current.gesture : makeId() }
    move(at, { x: points[at]!.x + step[0] * by, y: points[at]!.y + step[1] * by }, pressed.current.gesture)
  }
  const stand = points.map(({ x, y }) => onScreen.transformPoint({ x, y }))
  return (
    <>
      <svg aria-hidden className="pointer-events-none absolute left-0 top-0 overflow-visible">
        <polygon points={stand.map(({ x, y }) => `${x},${y}`).join(' ')} fill="none" stroke="#16211B" strokeDasharray="3 3" />
      </svg>
      {points.map(({ x, y }, at) => (
        <button
          // The point that is held must stay the same element while it moves.
          key={at}
          type="button"
          aria-label={`Point ${at + 1} of ${name}, ${x}${unit} across, ${y}${unit} down`}
          className="absolute z-20 h-3 w-3 -translate-x-1/2 -translate-y-1/2 cursor-move rounded-full border border-ink bg-yarrow"
          style={{ left: stand[at]!.x, top: stand[at]!.y }}
          onPointerDown={drag(at)}
          onKeyDown={onKeyDown(at)}
        />
      ))}
    </>
  )
}
