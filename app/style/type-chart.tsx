import { scaleLinear } from 'd3-scale'
import { sizeOf } from '#core/guide/type-roles'
import { pxAt } from '#core/type/measure'
import { useGuide } from './use-guide'

const WIDTH = 380
const HEIGHT = 190
const EDGES = { left: 8, right: 40, top: 14, bottom: 18 }
const WIDTHS = [320, 1600] as const

/** Sizes of the type roles over the width of the window. */
export function TypeChart({ chosen, onChoose }: { chosen: string | null; onChoose: (role: string) => void }) {
  const { guide, site } = useGuide()
  const lines = guide.types.map((type) => ({ role: type.role, size: sizeOf(guide, type) }))
  const most = Math.max(...lines.map((one) => pxAt(one.size, WIDTHS[1]) ?? 0))
  const x = scaleLinear(WIDTHS, [EDGES.left, WIDTH - EDGES.right])
  const y = scaleLinear([8, most], [HEIGHT - EDGES.bottom, EDGES.top])
  const { at } = guide.scale
  const stops = [WIDTHS[0], at.narrow, at.wide, WIDTHS[1]]
  const ends = lines
    .map((one) => ({ ...one, end: pxAt(one.size, WIDTHS[1]) ?? 0 }))
    .sort((a, b) => b.end - a.end)
    .filter((one, i, all) => i === 0 || y(one.end) - y(all[i - 1]!.end) > 9)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full border border-line bg-field"
      role="img"
      aria-label="Sizes of the type roles by width"
      data-type-chart
    >
      {site.views.map((width) => (
        <line key={width} x1={x(width)} x2={x(width)} y1={0} y2={HEIGHT} stroke="#E6ECE1" />
      ))}
      {[at.narrow, at.wide].map((width) => (
        <g key={width}>
          <line x1={x(width)} x2={x(width)} y1={0} y2={HEIGHT} stroke="#1F6B5C" strokeDasharray="3 3" />
          <text x={x(width) + 4} y={HEIGHT - 6} fontSize="10.5" fontFamily="var(--font-mono)" fill="#1F6B5C">
            {width}
          </text>
        </g>
      ))}
      {lines.map(({ role, size }) => (
        <polyline
          key={role}
          points={stops.map((width) => `${x(width)},${y(pxAt(size, width) ?? 0)}`).join(' ')}
          fill="none"
          stroke={role === chosen ? '#EDB700' : '#16211B'}
          strokeWidth={role === chosen ? 2.5 : 1}
          className="cursor-pointer"
          onClick={() => onChoose(role)}
        >
          <title>{role}</title>
        </polyline>
      ))}
      {ends.map(({ role, end }) => (
        <text key={role} x={WIDTH - EDGES.right + 6} y={y(end) + 4} fontSize="10.5" fontFamily="var(--font-mono)" fill="#5F7166">
          {Math.round(end)}
        </text>
      ))}
    </svg>
  )
}
