import { columnWidth } from '#core/grid/columns'
import type { Box } from '../live/frames'

/** Where blocks may be drawn: the inside of a holder, px of the screen, with its columns, and its rows where they have sizes. */
export type Ground = {
  box: Box
  /** Columns, and the space between two of them, px of the page; none where it is no grid. */
  grid?: { columns: number; gap: number }
  rows: readonly { top: number; bottom: number }[]
}

/** What a drawn frame comes to: columns, rows, and a size in px of the page. */
export type Drawn = {
  box: Box
  start?: number
  span?: number
  rowStart?: number
  rowSpan?: number
  width: number
  height: number
}

type Point = { x: number; y: number }

/** Heights below this are no more than a slip of the hand while columns are drawn, px of the page. */
export const LEAST_HEIGHT = 24

/**
 * The columns and rows that a frame takes which is drawn from one point to another: all that it touches, from gutter to
 * gutter. Points are in px of the screen.
 */
export function drawnArea({ box, grid, rows }: Ground, from: Point, to: Point, scale: number): Drawn {
  const within = (at: number, start: number, length: number) => Math.max(start, Math.min(start + length, at))
  const [left, right] = [from.x, to.x].map((x) => within(x, box.left, box.width)).sort((a, b) => a - b) as [number, number]
  const [top, bottom] = [from.y, to.y].map((y) => within(y, box.top, box.height)).sort((a, b) => a - b) as [number, number]
  const touched = rows.flatMap((row, n) => (row.bottom > top && row.top < bottom ? [n] : []))
  const inRows =
    touched.length > 0
      ? {
          rowStart: touched[0]! + 1,
          rowSpan: touched.length,
          down: { top: rows[touched[0]!]!.top, height: rows[touched.at(-1)!]!.bottom - rows[touched[0]!]!.top },
        }
      : { down: { top, height: bottom - top } }
  const { down, ...taken } = inRows
  const height = Math.round(down.height / scale)
  if (!grid) return { box: { left, width: right - left, ...down }, ...taken, width: Math.round((right - left) / scale), height }
  const gap = grid.gap * scale
  const column = columnWidth({ columns: grid.columns, gutter: gap, margin: 0, container: box.width }, box.width)
  const columnAt = (x: number) => within(Math.floor((x - box.left + gap / 2) / (column + gap)), 0, grid.columns - 1)
  const [first, last] = [columnAt(left), columnAt(right)]
  const span = last - first + 1
  const width = span * column + (span - 1) * gap
  return {
    box: { left: box.left + first * (column + gap), width, ...down },
    start: first + 1,
    span,
    ...taken,
    width: Math.round(width / scale),
    height,
  }
}

/** The columns and the size of a drawn frame in words. */
export function drawnInWords({ span, rowSpan, width, height }: Drawn, columns: number | undefined): string {
  const rows = rowSpan === undefined ? '' : ` in ${rowSpan === 1 ? 'a row' : `${rowSpan} rows`}`
  const size = `${width} px${height >= LEAST_HEIGHT ? ` by ${height}` : ''}`
  return span === undefined || columns === undefined ? `${size}${rows}` : `${span} of ${columns} columns${rows}, ${size}`
}

/** How many of the boxes that stand in a holder, in their order, are read before a drawn one. */
export function indexFor(drawn: Box, siblings: readonly Box[]): number {
  const [middle, bottom] = [drawn.top + drawn.height / 2, drawn.top + drawn.height]
  const before = (one: Box) => {
    const beside = one.top < bottom && one.top + one.height > drawn.top && one.height > 0
    return beside ? one.left + one.width / 2 < drawn.left + drawn.width / 2 : one.top + one.height / 2 < middle
  }
  return siblings.findLastIndex(before) + 1
}
