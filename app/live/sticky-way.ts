/** Where a sticky block stands at rest, and what it stands in; px, all from one top. */
export type StickyPlace = {
  top: number
  height: number
  /** Its own margin below, which it keeps. */
  margin: number
  /** The inside of what holds it, without paddings. */
  holder: { top: number; bottom: number }
}

/**
 * How far a sticky block holds: from where it stands to the end of what holds it (CSS Positioned Layout 3, 3.4). In a grid as
 * well: engines take the grid itself, and not the rows that the block takes, for its containing block, so that one in a row
 * of its own holds over the rows under it. Never less than nought.
 */
export const stickyWay = ({ top, height, margin, holder }: StickyPlace): number =>
  Math.max(0, holder.bottom - margin - top - height)
