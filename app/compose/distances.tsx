import { columnEdges, rangeAt } from '#core/grid/columns'
import { useSession } from '../session/context'
import { type Box, boxOf, boxOfElement, type StageView, useFrames } from '../live/frames'
import { selected } from '../session/store'

/** A dimension line, px of the screen, and its length in px of the page. */
export type Line = {
  x1: number
  y1: number
  x2: number
  y2: number
  px: number
  /** True for one over which two boxes overlap. */
  over?: true
}

const right = (box: Box) => box.left + box.width
const bottom = (box: Box) => box.top + box.height

/**
 * Lines from a box outwards, one to each side: to the nearest neighbour that it would run into, else to the edge of
 * what holds both; none where there is less than 1 px. Over a neighbour that it overlaps, by how much. Boxes are in px of the screen, `px` is in those of the page.
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
  return [...lines.filter((line) => line.px >= 1), ...neighbours.flatMap((box) => overlapOf(inner, box, scale))]
}

/** How far two boxes lie over each other, across and down; nothing where they do not, or where one holds the other. */
function overlapOf(a: Box, b: Box, scale: number): Line[] {
  const [left, to] = [Math.max(a.left, b.left), Math.min(right(a), right(b))]
  const [top, end] = [Math.max(a.top, b.top), Math.min(bottom(a), bottom(b))]
  if ((to - left) / scale < 1 || (end - top) / scale < 1 || holds(a, b) || holds(b, a)) return []
  const [x, y] = [(left + to) / 2, (top + end) / 2]
  return [
    { x1: left, x2: to, y1: y, y2: y, px: (to - left) / scale, over: true },
    { x1: x, x2: x, y1: top, y2: end, px: (end - top) / scale, over: true },
  ]
}

const holds = (outer: Box, inner: Box) =>
  outer.left <= inner.left && outer.top <= inner.top && right(outer) >= right(inner) && bottom(outer) >= bottom(inner)

/**
 * Lines between two boxes: from each edge of the inner one to that of the outer, where one holds the other; else across
 * and down the space that is between them, or how far they overlap. None where there is less than 1 px.
 */
export function linesBetween(a: Box, b: Box, scale: number): Line[] {
  if (holds(b, a)) return linesTo(a, b, [], scale)
  if (holds(a, b)) return linesTo(b, a, [], scale)
  const overlap = (from: number, to: number, otherFrom: number, otherTo: number) =>
    (Math.max(from, otherFrom) + Math.min(to, otherTo)) / 2
  const [first, second] = a.left <= b.left ? [a, b] : [b, a]
  const [upper, lower] = a.top <= b.top ? [a, b] : [b, a]
  const y = overlap(a.top, bottom(a), b.top, bottom(b))
  const x = overlap(a.left, right(a), b.left, right(b))
  const lines: Line[] = [
    { x1: right(first), x2: second.left, y1: y, y2: y, px: (second.left - right(first)) / scale },
    { x1: x, x2: x, y1: bottom(upper), y2: lower.top, px: (lower.top - bottom(upper)) / scale },
  ]
  const apart = lines.filter((line) => line.px >= 1)
  return apart.length > 0 ? apart : overlapOf(a, b, scale)
}

/**
 * Lines from the sides of a box to the nearest column lines outside of it, along its lower edge; none for a side that
 * stands on one.
 * @param edges of the columns, px of the page
 */
export function linesToColumns(box: Box, edges: readonly { left: number; right: number }[], scale: number): Line[] {
  const at = edges.flatMap((one) => [one.left, one.right]).map((edge) => edge * scale)
  const y = bottom(box)
  const before = Math.max(...at.filter((edge) => edge <= box.left + 0.5))
  const after = Math.min(...at.filter((edge) => edge >= right(box) - 0.5))
  const lines: Line[] = [
    { x1: before, x2: box.left, y1: y, y2: y, px: (box.left - before) / scale },
    { x1: right(box), x2: after, y1: y, y2: y, px: (after - right(box)) / scale },
  ]
  return lines.filter((line) => Number.isFinite(line.px) && line.px >= 1)
}

/**
 * While Alt is held: px from the selection to the block under the pointer; to its section and to the nearest columns,
 * where the pointer is on the selection itself or on nothing.
 */
export function DistancesTo({ index, under }: { index: number; under: string | undefined }) {
  const frames = useFrames()
  useSession((state) => state.layout)
  const place = useSession(selected)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const view = frames.get(index)
  const box = view && place && boxOf(view, place.block.id)
  if (!view || !box) return null
  const other = under === undefined || under === place.block.id ? undefined : boxOf(view, under)
  const section = place.ancestors[0] && boxOf(view, place.ancestors[0].id)
  const grid = breakpoints[rangeAt(breakpoints, view.width)]!
  const lines = other
    ? linesBetween(box, other, view.scale)
    : [...(section ? linesTo(box, section, [], view.scale) : []), ...linesToColumns(box, columnEdges(grid, view.width), view.scale)]
  return (
    <svg aria-hidden data-distances-to className="pointer-events-none absolute inset-0 h-full w-full">
      {other && <rect x={other.left} y={other.top} width={other.width} height={other.height} fill="none" stroke="#1F6B5C" />}
      <Dimensions view={view} lines={lines} />
    </svg>
  )
}

/** Dimension lines with their figures, each after a sign. */
export function Dimensions({ view, lines, sign = '' }: { view: StageView; lines: readonly Line[]; sign?: string }) {
  const bounds = { width: view.width * view.scale, height: view.frame.document.documentElement.scrollHeight * view.scale }
  return lines.map((line) => <Dimension key={`${line.x1},${line.y1},${line.x2}`} line={line} sign={sign} bounds={bounds} />)
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
  return (
    <svg aria-hidden data-distances className="pointer-events-none absolute inset-0 h-full w-full">
      <Dimensions view={view} lines={linesTo(inner, boxOfElement(parent, view.scale), neighbours, view.scale)} />
    </svg>
  )
}

/** Keeps a figure of a size within a length. */
export const within = (at: number, size: number, length: number): number => Math.max(0, Math.min(at, length - size))

function Dimension({ line, sign, bounds }: { line: Line; sign: string; bounds: { width: number; height: number } }) {
  const { x1, y1, x2, y2, px, over } = line
  const level = y1 === y2
  const tick = (x: number, y: number) => (level ? `M${x} ${y - 4}v8` : `M${x - 4} ${y}h8`)
  const label = `${over ? 'over by ' : sign}${Number(px.toFixed(1))}`
  const width = label.length * 7 + 8
  const x = within((x1 + x2) / 2 - width / 2 + (level ? 0 : width / 2 + 6), width, bounds.width)
  const y = within((y1 + y2) / 2 - 8 + (level ? 12 : 0), 16, bounds.height)
  return (
    <g>
      <path d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`} stroke="#F4F7F1" strokeWidth="3" fill="none" />
      <path d={`M${x1} ${y1}L${x2} ${y2}${tick(x1, y1)}${tick(x2, y2)}`} stroke={over ? '#A8401F' : '#16211B'} fill="none" />
      <rect x={x} y={y} width={width} height={16} fill="#F4F7F1" stroke="#CDD8C6" />
      <text x={x + width / 2} y={y + 12} textAnchor="middle" className="figure" fontSize="11" fill="#16211B">
        {label}
      </text>
    </g>
  )
}
