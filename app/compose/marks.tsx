import { useEffect, useRef, useState } from 'react'
import { useSession } from '../session/context'
import { type Box, boxOf, type StageView, useFrames } from '../live/frames'
import { afterPaint } from '../ui/lagging'
import { placeOfTab, TAB_HEIGHT, wordsNear } from './name-tab'
import { blockName } from '#core/blocks/block-name'
import { allSelected } from '../session/store'

const ARM = 10

/** Four corner marks around each selected block, as a printer's crop marks, and a tab with the name. */
export function Marks({ index }: { index: number }) {
  const frames = useFrames()
  useSession((state) => state.layout)
  const places = useSession(allSelected)
  const place = places.at(-1)
  const editing = useSession((state) => state.words !== null)
  const view = frames.get(index)
  if (!view || !place) return null
  const box = boxOf(view, place.block.id)
  if (!box) return null
  const others = places.slice(0, -1).flatMap((one) => boxOf(view, one.block.id) ?? [])
  const name = places.length > 1 ? `${places.length} blocks` : blockName(place.block)
  return (
    <>
      <Corners boxes={[...others, box]} />
      {!editing && <NameTab view={view} box={box} block={place.block.id} name={name} />}
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
    return afterPaint(() => {
      if (!tab.current) return
      const { scrollHeight } = view.frame.document.documentElement
      const size = { width: tab.current.offsetWidth, height: TAB_HEIGHT }
      const bounds = { width: view.width * view.scale, height: scrollHeight * view.scale }
      const next = placeOfTab(box, size, bounds, wordsNear(view, block, box))
      setPlace((now) => (now?.left === next?.left && now?.top === next?.top ? now : next))
    })
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

function Corners({ boxes }: { boxes: readonly Box[] }) {
  const marks = boxes.map(({ left, top, width, height }) => {
    const x = [left - 3, left + width + 3] as const
    const y = [top - 3, top + height + 3] as const
    const corner = (cx: number, cy: number, dx: number, dy: number) => `M${cx + dx} ${cy}H${cx}V${cy + dy}`
    return (
      corner(x[0], y[0], ARM, ARM) + corner(x[1], y[0], -ARM, ARM) + corner(x[0], y[1], ARM, -ARM) + corner(x[1], y[1], -ARM, -ARM)
    )
  })
  const outlines = boxes.map(({ left, top, width, height }) => `M${left} ${top}h${width}v${height}h${-width}z`)
  return (
    <svg aria-hidden data-marks={boxes.length} className="pointer-events-none absolute inset-0 h-full w-full overflow-visible">
      <path d={outlines.join('')} fill="none" stroke="#EDB700" strokeOpacity="0.55" />
      <path d={marks.join('')} fill="none" stroke="#EDB700" strokeWidth="3" />
    </svg>
  )
}
