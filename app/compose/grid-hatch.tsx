import { columnEdges, rangeAt } from '#core/grid/columns'
import { useSession } from '../session/context'

/** Reed hatching in the columns, nothing in the gutters. */
export function GridHatch({ index, scale }: { index: number; scale: number }) {
  const site = useSession((state) => state.session.site)
  const width = site.views[index]
  if (width === undefined) return null
  const breakpoint = site.breakpoints[rangeAt(site.breakpoints, width)]!
  return (
    <div aria-hidden data-grid className="pointer-events-none absolute inset-0">
      {columnEdges(breakpoint, width).map(({ left, right }) => (
        <div
          key={left}
          className="absolute inset-y-0 border-x border-reed/60"
          style={{
            left: left * scale,
            width: (right - left) * scale,
            backgroundImage: 'repeating-linear-gradient(135deg, rgb(31 107 92 / 0.28) 0 1px, transparent 1px 6px)',
          }}
        />
      ))}
    </div>
  )
}
