import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import { type GuideLine, lineAt, lineInWords, lineMoved } from '#core/blocks/guide-line'
import type { Section } from '#core/blocks/section'
import { boxOf, type StageView, useFrames } from '../live/frames'
import { useSession, useSessionStore } from '../session/context'
import { makeId, selected } from '../session/store'
import { setLines } from './line-edits'

/** The guide lines of the section that is worked in, to drag, to move by keys and to delete. */
export function GuideLines({ index }: { index: number }) {
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const section = useSession((state) => {
    const place = selected(state)
    return place && (place.ancestors[0] ?? place.block)
  })
  if (!view || section?.kind !== 'section' || !section.guideLines) return null
  return section.guideLines.map((line, n) => <Line key={n} view={view} section={section} line={line} n={n} />)
}

type LineProps = { view: StageView; section: Section; line: GuideLine; n: number }

function Line({ view, section, line, n }: LineProps) {
  const store = useSessionStore()
  const drag = useRef<{ gesture: string; from: number; at: number } | null>(null)
  const keys = useRef(makeId())
  const box = boxOf(view, section.id)
  if (!box) return null
  const size = { width: box.width / view.scale, height: box.height / view.scale }
  const down = line.axis === 'down'
  const px = lineAt(line, size)
  const moveTo = (to: number, gesture: string) =>
    setLines(
      store,
      section,
      section.guideLines!.map((one, i) => (i === n ? lineMoved(line, to, size) : one)),
      gesture,
    )
  const remove = () =>
    setLines(
      store,
      section,
      section.guideLines!.filter((_, i) => i !== n),
    )
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 10 : 1
    const [less, more] = down ? ['ArrowLeft', 'ArrowRight'] : ['ArrowUp', 'ArrowDown']
    if (event.key === less) moveTo(px - step, keys.current)
    else if (event.key === more) moveTo(px + step, keys.current)
    else if (event.key === 'Delete' || event.key === 'Backspace') remove()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const pointAt = (event: PointerEvent) => (down ? event.clientX : event.clientY)
  const at = (down ? box.left : box.top) + px * view.scale
  return (
    <button
      type="button"
      aria-label={`Guide line ${line.axis} the section at ${lineInWords(line)}. Arrow keys move it, Delete removes it.`}
      title={`Guide line at ${lineInWords(line)}: drag to move, Delete to remove`}
      data-guide-line={line.axis}
      className={`absolute z-10 touch-none ${down ? 'w-2 -translate-x-1/2 cursor-ew-resize' : 'h-2 -translate-y-1/2 cursor-ns-resize'}`}
      style={down ? { left: at, top: box.top, height: box.height } : { top: at, left: box.left, width: box.width }}
      onPointerDown={(event) => {
        event.stopPropagation()
        event.currentTarget.setPointerCapture(event.pointerId)
        drag.current = { gesture: makeId(), from: pointAt(event), at: px }
      }}
      onPointerMove={(event) => {
        const { current } = drag
        if (current) moveTo(current.at + (pointAt(event) - current.from) / view.scale, current.gesture)
      }}
      onPointerUp={() => (drag.current = null)}
      onPointerCancel={() => (drag.current = null)}
      onFocus={() => (keys.current = makeId())}
      onKeyDown={onKeyDown}
    >
      <span
        className={`pointer-events-none absolute border-dashed border-ink outline outline-1 outline-panel/70 ${down ? 'inset-y-0 left-1/2 border-l' : 'inset-x-0 top-1/2 border-t'}`}
      />
      <span
        className={`figure pointer-events-none absolute whitespace-nowrap bg-panel px-0.5 text-[10px] leading-3 text-ink ${down ? 'left-2 top-1' : 'left-1 top-2'}`}
      >
        {lineInWords(line)}
      </span>
    </button>
  )
}
