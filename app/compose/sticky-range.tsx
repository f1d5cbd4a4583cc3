import { rangeAt } from '#core/grid/columns'
import { valueAt } from '#core/style/cascade'
import { useSession } from '../session/context'
import { boxOf, boxOfElement, useFrames } from '../live/frames'
import { selected } from '../session/store'

/** The way of a sticky block while it holds: from where it stands to the end of what it stands in, with the px of it. */
export function StickyRange({ index }: { index: number }) {
  const view = useFrames().get(index)
  useSession((state) => state.layout)
  const place = useSession(selected)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  if (!view || !place) return null
  if (valueAt(place.block.style, 'position', breakpoints, rangeAt(breakpoints, view.width)) !== 'sticky') return null
  const element = view.frame.find(place.block.id)
  const box = boxOf(view, place.block.id)
  const parent = element?.parentElement
  if (!element || !box || !parent) return null
  const window = view.frame.document.defaultView!
  const style = window.getComputedStyle(parent)
  const around = boxOfElement(parent, view.scale)
  const bottom = around.top + around.height - Number.parseFloat(style.paddingBottom) * view.scale
  const way = bottom - box.top - box.height
  const top = Math.round(Number.parseFloat(window.getComputedStyle(element).top) || 0)
  const px = Math.max(0, Math.round(way / view.scale))
  const x = box.left + box.width + 8
  return (
    <>
      <svg aria-hidden data-sticky={px} className="pointer-events-none absolute inset-0 h-full w-full overflow-visible">
        {way > 0 && (
          <>
            <rect
              x={box.left}
              y={box.top + box.height}
              width={box.width}
              height={way}
              fill="none"
              stroke="#16211B"
              strokeDasharray="2 3"
            />
            <path
              d={`M${x - 4} ${box.top + box.height}h8M${x} ${box.top + box.height}v${way}M${x - 4} ${bottom}h8`}
              stroke="#16211B"
            />
          </>
        )}
      </svg>
      <p
        className={`figure pointer-events-none absolute z-10 whitespace-nowrap px-1 ${px === 0 ? 'bg-rust-wash text-rust' : 'bg-panel'}`}
        style={{ left: box.left, top: box.top + box.height + 4 }}
      >
        {px === 0 ? 'Has no way to hold' : `Holds for ${px} px, ${top} px from the top`}
      </p>
    </>
  )
}
