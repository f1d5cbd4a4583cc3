import { rangeAt } from '#core/grid/columns'
import { useComposeState } from './context'
import { EdgeDrag } from './edge-drag'
import { type Box, boxOf, useFrames } from './frames'
import { blockName, selected } from './store'

const ARM = 10

/** Four corner marks, as a printer's crop marks, and a tab with the name. */
export function Marks({ index }: { index: number }) {
  const frames = useFrames()
  useComposeState((state) => state.layout)
  const place = useComposeState(selected)
  const editing = useComposeState((state) => state.words !== null)
  const breakpoints = useComposeState((state) => state.session.site.breakpoints)
  const view = frames.get(index)
  if (!view || !place) return null
  const box = boxOf(view, place.block.id)
  if (!box) return null
  return (
    <>
      <Corners box={box} />
      {!editing && (
        <div
          className="pointer-events-none absolute z-10 whitespace-nowrap bg-yarrow px-1.5 text-label font-semibold text-ink"
          style={{ left: Math.max(0, box.left - 4), top: box.top >= 20 ? box.top - 20 : box.top + 2 }}
        >
          {blockName(place.block)}
        </div>
      )}
      {place.ancestors.length > 0 && !editing && (
        <EdgeDrag view={view} place={place} box={box} range={rangeAt(breakpoints, view.width)} />
      )}
    </>
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
