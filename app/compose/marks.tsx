import { useEffect, useRef, useState } from 'react'
import { rangeAt } from '#core/grid/columns'
import { useSession } from '../session/context'
import { EdgeDrag } from './edge-drag'
import { type Box, boxOf, type StageView, useFrames } from '../live/frames'
import { placeOfTab, TAB_HEIGHT, wordsNear } from './name-tab'
import { blockName, selected } from '../session/store'

const ARM = 10

/** Four corner marks, as a printer's crop marks, and a tab with the name. */
export function Marks({ index }: { index: number }) {
  const frames = useFrames()
  useSession((state) => state.layout)
  const place = useSession(selected)
  const editing = useSession((state) => state.words !== null)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const view = frames.get(index)
  if (!view || !place) return null
  const box = boxOf(view, place.block.id)
  if (!box) return null
  return (
    <>
      <Corners box={box} />
      {!editing && <NameTab view={view} box={box} block={place.block.id} name={blockName(place.block)} />}
      {place.ancestors.length > 0 && !editing && (
        <EdgeDrag view={view} place={place} box={box} range={rangeAt(breakpoints, view.width)} />
      )}
    </>
  )
}

type NameTabProps = { view: StageView; box: Box; block: string; name: string }

/** The name of the selection, where it covers no words. */
function NameTab({ view, box, block, name }: NameTabProps) {
  const tab = useRef<HTMLDivElement>(null)
  const [place, setPlace] = useState<{ left: number; top: number }>()
  // Placed after the page has been painted: finding words near the selection must not hold it up.
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      if (!tab.current) return
      const { scrollHeight } = view.frame.document.documentElement
      const size = { width: tab.current.offsetWidth, height: TAB_HEIGHT }
      const bounds = { width: view.width * view.scale, height: scrollHeight * view.scale }
      const next = placeOfTab(box, size, bounds, wordsNear(view, block, box))
      setPlace((now) => (now?.left === next?.left && now?.top === next?.top ? now : next))
    })
    return () => cancelAnimationFrame(frame)
  }, [view, box, block, name])
  return (
    <div
      ref={tab}
      data-name-tab
      className="pointer-events-none absolute z-10 max-w-full select-none truncate bg-yarrow px-1.5 text-label font-semibold leading-[18px] text-ink"
      style={place ? { left: place.left, top: place.top } : { visibility: 'hidden' }}
    >
      {name}
    </div>
  )
}

function Corners({ box }: { box: Box }) {
  const { left, top, width, height } = box
  const x = [left - 3, left + width + 3] as const
  const y = [top - 3, top + height + 3] as const
  const corner = (cx: number, cy: number, dx: number, dy: number) => `M${cx + dx} ${cy}H${cx}V${cy + dy}`
  const path =
    corner(x[0], y[0], ARM, ARM) + corner(x[1], y[0], -ARM, ARM) + corner(x[0], y[1], ARM, -ARM) + corner(x[1], y[1], -ARM, -ARM)
  return (
    <svg aria-hidden data-marks className="pointer-events-none absolute inset-0 h-full w-full overflow-visible">
      <rect x={left} y={top} width={width} height={height} fill="none" stroke="#EDB700" strokeOpacity="0.55" />
      <path d={path} fill="none" stroke="#EDB700" strokeWidth="3" />
    </svg>
  )
}
