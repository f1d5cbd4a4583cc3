import type { KeyboardEvent, PointerEvent } from 'react'
import { rangeAt } from '#core/grid/columns'
import { valueAt } from '#core/style/cascade'
import { ofWidths } from '#core/style/registry'
import { boxOf, useFrames } from '../live/frames'
import { useSession, useSessionStore } from '../session/context'
import { edit, makeId, selected } from '../session/store'
import { followPointer } from './follow-pointer'

/** What an arrow key moves a point by, percent; ten times that with Shift. */
const STEPS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }

const percent = (value: number) => Math.min(100, Math.max(0, Math.round(value * 10) / 10))

/** The points of the polygon that the selected block is cut to, to drag where they stand, or to move by arrow keys. */
export function PolygonPoints({ index }: { index: number }) {
  const store = useSessionStore()
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const place = useSession(selected)
  const alone = useSession((state) => state.also.length === 0 && state.words === null && state.cropping === null)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const frame = view && place && valueAt(place.block.style, 'frame', breakpoints, rangeAt(breakpoints, view.width))
  const box = frame?.shape === 'polygon' && alone ? boxOf(view!, place!.block.id) : undefined
  if (!box || frame?.shape !== 'polygon') return null
  const { points } = frame
  const move = (at: number, x: number, y: number, gesture: string) => {
    const next = points.map((one, n) => (n === at ? { x: percent(x), y: percent(y) } : one))
    const values = { frame: { shape: 'polygon' as const, points: next } }
    edit(store, { kind: 'style', block: place!.block.id, scope: ofWidths(store.getState().scope), values }, gesture)
  }
  const drag = (at: number) => (event: PointerEvent<HTMLButtonElement>) => {
    event.preventDefault()
    event.stopPropagation()
    const { x, y } = points[at]!
    const from = { x: event.clientX, y: event.clientY }
    const gesture = makeId()
    followPointer({
      move: (to) =>
        move(at, x + ((to.clientX - from.x) / box.width) * 100, y + ((to.clientY - from.y) / box.height) * 100, gesture),
      // Given up, it goes back to where it was.
      end: (release) => release === undefined && move(at, x, y, gesture),
    })
  }
  const onKeyDown = (at: number) => (event: KeyboardEvent) => {
    const step = STEPS[event.key]
    if (!step) return
    event.preventDefault()
    event.stopPropagation()
    const by = event.shiftKey ? 10 : 1
    move(at, points[at]!.x + step[0] * by, points[at]!.y + step[1] * by, `point ${place!.block.id} ${at}`)
  }
  return (
    <>
      <svg aria-hidden className="pointer-events-none absolute overflow-visible" style={box}>
        <polygon
          points={points.map(({ x, y }) => `${(x * box.width) / 100},${(y * box.height) / 100}`).join(' ')}
          fill="none"
          stroke="#16211B"
          strokeDasharray="3 3"
        />
      </svg>
      {points.map(({ x, y }, at) => (
        <button
          // The point that is held must stay the same element while it moves.
          key={at}
          type="button"
          aria-label={`Point ${at + 1} of the polygon, ${x} % across, ${y} % down`}
          className="absolute z-20 h-3 w-3 -translate-x-1/2 -translate-y-1/2 cursor-move rounded-full border border-ink bg-yarrow"
          style={{ left: box.left + (x * box.width) / 100, top: box.top + (y * box.height) / 100 }}
          onPointerDown={drag(at)}
          onKeyDown={onKeyDown(at)}
        />
      ))}
    </>
  )
}
