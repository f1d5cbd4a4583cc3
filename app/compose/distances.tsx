import { useComposeState } from './context'
import { type Box, boxOf, boxOfElement, useFrames } from './frames'
import { selected } from './store'

type Line = { x1: number; y1: number; x2: number; y2: number; px: number }

/** Lines from a box to the edges of the one around it, where there is room. */
function linesTo(inner: Box, outer: Box, scale: number): Line[] {
  const middle = { x: inner.left + inner.width / 2, y: inner.top + inner.height / 2 }
  const right = { inner: inner.left + inner.width, outer: outer.left + outer.width }
  const bottom = { inner: inner.top + inner.height, outer: outer.top + outer.height }
  const lines: Line[] = [
    { x1: outer.left, x2: inner.left, y1: middle.y, y2: middle.y, px: (inner.left - outer.left) / scale },
    { x1: right.inner, x2: right.outer, y1: middle.y, y2: middle.y, px: (right.outer - right.inner) / scale },
    { x1: middle.x, x2: middle.x, y1: outer.top, y2: inner.top, px: (inner.top - outer.top) / scale },
    {
      x1: middle.x,
      x2: middle.x,
      y1: bottom.inner,
      y2: bottom.outer,
      px: (bottom.outer - bottom.inner) / scale,
    },
  ]
  return lines.filter((line) => line.px >= 1)
}

/** Dimension lines from the selected block to its neighbours below and above, or to what holds it. */
export function Distances({ index }: { index: number }) {
  const frames = useFrames()
  useComposeState((state) => state.layout)
  const on = useComposeState((state) => state.distances)
  const place = useComposeState(selected)
  const view = frames.get(index)
  if (!on || !view || !place) return null
  const inner = boxOf(view, place.block.id)
  const parent = view.frame.find(place.block.id)?.parentElement
  if (!inner || !parent) return null
  return (
    <svg aria-hidden data-distances className="pointer-events-none absolute inset-0 h-full w-full">
      {linesTo(inner, boxOfElement(parent, view.scale), view.scale).map((line) => (
        <Dimension key={`${line.x1},${line.y1},${line.x2}`} line={line} />
      ))}
    </svg>
  )
}

function Dimension({ line }: { line: Line }) {
  const { x1, y1, x2, y2, px } = line
  const level = y1 === y2
  const tick = (x: number, y: number) => (level ? `M${x} ${y - 4}v8` : `M${x - 4} ${y}h8`)
  const label = `${Number(px.toFixed(1))}`
  const width = label.length * 7 + 8
  const x = (x1 + x2) / 2 - width / 2 + (level ? 0 : width / 2 + 6)
  const y = (y1 + y2) / 2 - 8 + (level ? 12 : 0)
  return (
    <g>
      <path d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`} stroke="#F4F7F1" strokeWidth="3" fill="none" />
      <path d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`} stroke="#16211B" fill="none" />
      <rect x={x} y={y} width={width} height={16} fill="#F4F7F1" stroke="#CDD8C6" />
      <text x={x + width / 2} y={y + 12} textAnchor="middle" className="figure" fontSize="11" fill="#16211B">
        {label}
      </text>
    </g>
  )
}
