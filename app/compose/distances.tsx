import { useSession } from '../session/context'
import { type Box, boxOf, boxOfElement, useFrames } from '../live/frames'
import { selected } from '../session/store'

type Line = { x1: number; y1: number; x2: number; y2: number; px: number }

const right = (box: Box) => box.left + box.width
const bottom = (box: Box) => box.top + box.height

/**
 * Lines from a box outwards, one to each side: to the nearest neighbour that it would run into, else to the edge of
 * what holds both; none where there is less than 1 px. Boxes are in px of the screen, `px` is in those of the page.
 */
export function linesTo(inner: Box, outer: Box, neighbours: readonly Box[], scale: number): Line[] {
  const x = inner.left + inner.width / 2
  const y = inner.top + inner.height / 2
  const beside = neighbours.filter((box) => box.top < bottom(inner) && bottom(box) > inner.top)
  const above = neighbours.filter((box) => box.left < right(inner) && right(box) > inner.left)
  const to = {
    left: Math.max(outer.left, ...beside.map(right).filter((at) => at <= inner.left + 0.5)),
    right: Math.min(right(outer), ...beside.map((box) => box.left).filter((at) => at >= right(inner) - 0.5)),
    top: Math.max(outer.top, ...above.map(bottom).filter((at) => at <= inner.top + 0.5)),
    bottom: Math.min(bottom(outer), ...above.map((box) => box.top).filter((at) => at >= bottom(inner) - 0.5)),
  }
  const lines: Line[] = [
    { x1: to.left, x2: inner.left, y1: y, y2: y, px: (inner.left - to.left) / scale },
    { x1: right(inner), x2: to.right, y1: y, y2: y, px: (to.right - right(inner)) / scale },
    { x1: x, x2: x, y1: to.top, y2: inner.top, px: (inner.top - to.top) / scale },
    { x1: x, x2: x, y1: bottom(inner), y2: to.bottom, px: (to.bottom - bottom(inner)) / scale },
  ]
  return lines.filter((line) => line.px >= 1)
}

/** Dimension lines from the selected block to its neighbours, or to the edges of what holds it. */
export function Distances({ index }: { index: number }) {
  const frames = useFrames()
  useSession((state) => state.layout)
  const on = useSession((state) => state.distances)
  const place = useSession(selected)
  const view = frames.get(index)
  if (!on || !view || !place) return null
  const inner = boxOf(view, place.block.id)
  const parent = view.frame.find(place.block.id)?.parentElement
  if (!inner || !parent) return null
  const siblings = place.ancestors.at(-1)?.children ?? []
  const neighbours = siblings
    .filter((one) => one.id !== place.block.id && one.style.base?.position !== 'backdrop')
    .flatMap((one) => boxOf(view, one.id) ?? [])
  const bounds = { width: view.width * view.scale, height: view.frame.document.documentElement.scrollHeight * view.scale }
  return (
    <svg aria-hidden data-distances className="pointer-events-none absolute inset-0 h-full w-full">
      {linesTo(inner, boxOfElement(parent, view.scale), neighbours, view.scale).map((line) => (
        <Dimension key={`${line.x1},${line.y1},${line.x2}`} line={line} bounds={bounds} />
      ))}
    </svg>
  )
}

/** Keeps a figure of a size within a length. */
export const within = (at: number, size: number, length: number): number => Math.max(0, Math.min(at, length - size))

function Dimension({ line, bounds }: { line: Line; bounds: { width: number; height: number } }) {
  const { x1, y1, x2, y2, px } = line
  const level = y1 === y2
  const tick = (x: number, y: number) => (level ? `M${x} ${y - 4}v8` : `M${x - 4} ${y}h8`)
  const label = `${Number(px.toFixed(1))}`
  const width = label.length * 7 + 8
  const x = within((x1 + x2) / 2 - width / 2 + (level ? 0 : width / 2 + 6), width, bounds.width)
  const y = within((y1 + y2) / 2 - 8 + (level ? 12 : 0), 16, bounds.height)
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
