import type { Box } from '../live/frames'
import type { Line } from './distances'

type Axis = 'x' | 'y'
type Span = { from: number; to: number; across: readonly [number, number] }

const spanOn = (axis: Axis, { left, top, width, height }: Box): Span =>
  axis === 'x'
    ? { from: left, to: left + width, across: [top, top + height] }
    : { from: top, to: top + height, across: [left, left + width] }

/** Gaps that are as wide as this to half a px look the same. */
const SAME = 0.5

/** Gaps from one box to the next along an axis, with the line that each is drawn as. */
function gapsAlong(axis: Axis, boxes: readonly Box[], scale: number): { line: Line; beside: readonly [Box, Box] }[] {
  const sorted = [...boxes].sort((a, b) => spanOn(axis, a).from - spanOn(axis, b).from)
  return sorted.slice(1).flatMap((second, n) => {
    const first = sorted[n]!
    const [a, b] = [spanOn(axis, first), spanOn(axis, second)]
    if (b.from - a.to < 1) return []
    const middle = (Math.max(a.across[0], b.across[0]) + Math.min(a.across[1], b.across[1])) / 2
    const px = (b.from - a.to) / scale
    const line: Line =
      axis === 'x' ? { x1: a.to, x2: b.from, y1: middle, y2: middle, px } : { x1: middle, x2: middle, y1: a.to, y2: b.from, px }
    return [{ line, beside: [first, second] as const }]
  })
}

/**
 * Gaps beside a box that is dragged which are equal to others of its row or its column, with those: none where it
 * stands alone. Boxes are in px of the screen, the lines' figures in px of the page.
 */
export function equalGaps(moved: Box, others: readonly Box[], scale: number): Line[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    const own = spanOn(axis, moved).across
    const beside = others.filter((one) => {
      const [from, to] = spanOn(axis, one).across
      return from < own[1] && to > own[0]
    })
    const gaps = gapsAlong(axis, [moved, ...beside], scale)
    const touching = gaps.filter((one) => one.beside.includes(moved))
    const equal = (a: Line, b: Line) => Math.abs(a.px - b.px) <= SAME
    return gaps
      .filter(({ line }) => touching.some((one) => equal(one.line, line)) && gaps.filter((one) => equal(one.line, line)).length > 1)
      .map(({ line }) => line)
  })
}
