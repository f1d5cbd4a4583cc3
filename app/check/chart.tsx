import { scaleLinear } from 'd3-scale'
import { useEffect, useRef, useState } from 'react'
import { rangesInWords } from '#core/analysis/finding'
import type { Section } from '#core/blocks/index'
import { keyOf, type WidthFinding } from '#core/sweep/find'
import { SWEPT } from '#core/sweep/widths'
import { useSession } from '../session/context'
import { blockName } from '#core/blocks/block-name'

const [NAMES, TOP, ROW] = [130, 46, 33]
/** Px between figures on the axis, at least. */
const APART = 46

type ChartProps = {
  sections: readonly Section[]
  findings: readonly WidthFinding[]
  chosen: WidthFinding | null
  onChoose: (finding: WidthFinding) => void
}

/** Widths across, sections down; each bar is a range of widths at which something holds. */
export function Chart({ sections, findings, chosen, onChoose }: ChartProps) {
  const element = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(560)
  useEffect(() => {
    const observer = new ResizeObserver(() => setWidth(element.current!.clientWidth))
    observer.observe(element.current!)
    return () => observer.disconnect()
  }, [])
  const { views, breakpoints } = useSession((state) => state.session.site)
  const x = scaleLinear([SWEPT.from, SWEPT.to], [NAMES + 8, width - 14])
  const shown = sections.filter((one) => !one.hidden)
  const height = TOP + shown.length * ROW
  const every = (SWEPT.to - SWEPT.from) / Math.max(1, Math.floor((width - NAMES) / APART)) > 160 ? 320 : 160
  const figures = Array.from({ length: Math.floor(SWEPT.to / every) }, (_, n) => (n + 1) * every).filter((one) => one >= 320)
  const ticks = Array.from({ length: Math.floor((SWEPT.to - 320) / 80) + 1 }, (_, n) => 320 + n * 80)
  return (
    <div ref={element} className="relative" style={{ height }}>
      <svg width={width} height={height} className="absolute inset-0" aria-hidden>
        <defs>
          <pattern id="trouble" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="5" height="5" fill="#F6E4DC" />
            <line x1="0" x2="0" y1="0" y2="5" stroke="#A8401F" strokeWidth="2.4" />
          </pattern>
        </defs>
        <line x1={x(SWEPT.from)} x2={x(SWEPT.to)} y1={30} y2={30} stroke="#44564B" />
        {ticks.map((tick) => (
          <line key={tick} x1={x(tick)} x2={x(tick)} y1={figures.includes(tick) ? 20 : 25} y2={30} stroke="#44564B" />
        ))}
        {figures.map((one) => (
          <text key={one} x={x(one)} y={13} textAnchor="middle" className="figure" fontSize="11" fill="#5F7166">
            {one}
          </text>
        ))}
        {breakpoints.map(({ id, below }) =>
          below === null ? null : (
            <line
              key={id}
              x1={x(below)}
              x2={x(below)}
              y1={30}
              y2={height}
              stroke="#1F6B57"
              strokeDasharray="2 3"
              strokeWidth="1.5"
            />
          ),
        )}
        {views.map((view) => (
          <path key={view} d={`M${x(view) - 6} 30h12v5l-6 5-6-5z`} fill="#16211B" />
        ))}
        {shown.map((section, n) => (
          <line key={section.id} x1={0} x2={width} y1={TOP + (n + 1) * ROW} y2={TOP + (n + 1) * ROW} stroke="#CBD5CC" />
        ))}
      </svg>
      {shown.map((section, n) => {
        const own = findings.filter((one) => one.section === section.id)
        const faults = own.filter((one) => one.fault)
        return (
          <div key={section.id} className="absolute left-0 right-0" style={{ top: TOP + n * ROW, height: ROW }}>
            <span className="flex h-full items-center gap-2.5" style={{ width: NAMES }}>
              <span className="figure text-muted">{String(sections.indexOf(section) + 1).padStart(2, '0')}</span>
              <span className="truncate font-semibold" title={blockName(section)}>
                {blockName(section)}
              </span>
            </span>
            {own.length === 0 && (
              <span aria-hidden className="absolute top-3 h-2 w-2 rounded-full bg-reed" style={{ left: x(SWEPT.from) }} />
            )}
            {[...own.filter((one) => !one.fault), ...faults].flatMap((finding) =>
              finding.ranges.map(({ from, to }) => (
                <button
                  key={`${keyOf(finding)} ${from}`}
                  type="button"
                  tabIndex={-1}
                  aria-hidden
                  title={`${finding.sentence} ${rangesInWords([{ from, to }])}`}
                  data-bar={finding.kind}
                  className="absolute"
                  style={{
                    left: x(from) - 1,
                    width: Math.max(4, x(to) - x(from) + 2),
                    top: finding.fault ? 7 : 14,
                    height: finding.fault ? 19 : 5,
                  }}
                  onClick={() => onChoose(finding)}
                >
                  <svg className="block h-full w-full">
                    <rect
                      width="100%"
                      height="100%"
                      fill={finding.fault ? 'url(#trouble)' : '#C9B98A'}
                      stroke={finding.fault ? '#A8401F' : 'none'}
                      strokeWidth="2"
                    />
                    {finding === chosen && <rect width="100%" height="100%" fill="none" stroke="#EDB200" strokeWidth="5" />}
                  </svg>
                </button>
              )),
            )}
          </div>
        )
      })}
    </div>
  )
}
