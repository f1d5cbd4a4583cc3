/** A box, px from the left and the top of the page. */
export type Box = { left: number; top: number; right: number; bottom: number }

/** How the words of a block are set at one width. */
export type WordsRead = {
  /** Boxes of the lines, from the top. */
  lines: readonly Box[]
  /** Size of the letters, px. */
  size: number
  characters: number
  /** Px by which the widest word reaches past its room; 0 where it fits. */
  over: number
  /** True where that word is parted, though not at a hyphen. */
  broken: boolean
  /** True where the last line has one word and the line before it more. */
  lone: boolean
}

/** What is read of one block at one width. */
export type BlockRead = {
  box: Box
  words?: WordsRead
  /** Whether what goes past its sides, and past its top and bottom, is cut off; what scrolls is not. */
  cuts: { across: boolean; down: boolean }
}

/** What is read of a page at one width of the window, px: the blocks that are seen, in reading order. */
export type Reading = { width: number; blocks: ReadonlyMap<string, BlockRead> }

export const widthOf = ({ left, right }: Box): number => right - left
export const heightOf = ({ top, bottom }: Box): number => bottom - top

/** How far two boxes lie over each other, px across and down; less than 0 is the space between them. */
export const overlapOf = (a: Box, b: Box): { x: number; y: number } => ({
  x: Math.min(a.right, b.right) - Math.max(a.left, b.left),
  y: Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top),
})
