/** Where a sticky block stands at rest, and what it stands in; px, all from one top. */
export type StickyPlace = {
  top: number
  height: number
  /** Its own margin below, which it keeps. */
  margin: number
  /** The inside of what holds it, without paddings. */
  holder: { top: number; bottom: number }
  /** In a grid: the heights of its rows, the gap between them, and how many rows the block spans. */
  grid?: { rows: readonly number[]; gap: number; span: number }
}

/**
 * How far a sticky block holds: from where it stands to the end of its containing block, which in a grid is its grid area
 * (CSS Positioned Layout 3, 3.4; CSS Grid Layout 1, 9). Never less than nought.
 */
export function stickyWay({ top, height, margin, holder, grid }: StickyPlace): number {
  let end = holder.bottom
  if (grid) {
    let start = holder.top
    const ends = grid.rows.map((row) => {
      const bottom = start + row
      start = bottom + grid.gap
      return bottom
    })
    const first = ends.findIndex((bottom) => top < bottom)
    if (first >= 0) end = ends[Math.min(first + grid.span, ends.length) - 1]!
  }
  return Math.max(0, end - margin - top - height)
}
