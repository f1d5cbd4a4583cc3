import { rangeAt } from '#core/grid/columns'
import { valueAt } from '#core/style/cascade'
import { useSession } from '../session/context'
import { boxOf, useFrames } from '../live/frames'
import { selected } from '../session/store'
import { measureSticky } from '../live/measure-sticky'

/** Room that what is said of it takes across, px of the screen. */
const LABEL = 230

/** The way of a sticky block while it holds: from where it stands to the end of what it stands in, with the px of it. */
export function StickyRange({ index }: { index: number }) {
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const place = useSession(selected)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  if (!view || !place) return null
  const range = rangeAt(breakpoints, view.width)
  if (valueAt(place.block.style, 'position', breakpoints, range) !== 'sticky') return null
  const measured = measureSticky(view, place.block.id)
  const box = boxOf(view, place.block.id)
  if (!measured || !box) return null
  const px = Math.round(measured.way)
  const from = Math.round(measured.distance)
  const end = box.top + box.height + px * view.scale
  const x = box.left + box.width + 8
  return (
    <>
      {px > 0 && (
        <svg aria-hidden data-sticky={px} className="pointer-events-none absolute inset-0 h-full w-full overflow-visible">
          <rect
            x={box.left}
            y={box.top + box.height}
            width={box.width}
            height={px * view.scale}
            fill="none"
            stroke="#16211B"
            strokeDasharray="2 3"
          />
          <path d={`M${x - 4} ${box.top + box.height}h8M${x} ${box.top + box.height}V${end}M${x - 4} ${end}h8`} stroke="#16211B" />
        </svg>
      )}
      <p
        className={`figure pointer-events-none absolute z-10 max-w-full px-1 ${px === 0 ? 'bg-rust-wash text-rust' : 'bg-panel'}`}
        style={{ left: Math.max(0, Math.min(box.left, view.width * view.scale - LABEL)), top: box.top + box.height + 4 }}
      >
        {px === 0 ? 'Has no way to hold' : `Holds for ${px} px, ${from} px from the top`}
      </p>
    </>
  )
}
