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
  /** Px that its room has more than the word that needs most of its own; less than 0 where that does not fit. */
  spare: number
  /** True where that word is parted, though not at a hyphen. */
  broken: boolean
  /** True where the last line has one word and the line before it more. */
  lone: boolean
  /** A figure, as a price or a telephone number, that stands on two lines. */
  parted?: string
}

/** What is read of one block at one width. */
export type BlockRead = {
  box: Box
  words?: WordsRead
  /** Whether what goes past its sides, and past its top and bottom, is cut off; what scrolls is not. */
  cuts: { across: boolean; down: boolean }
  /** True where it paints a ground, a picture or an edge of its own: what stands on it is seen to. */
  paints?: boolean
  /** The block that is painted over its words and hides them, and by how many px. */
  covered?: { by: string; px: number }
}

/** What is read of a page at one width of the window, px: the blocks that are seen, in reading order. */
export type Reading = {
  width: number
  blocks: ReadonlyMap<string, BlockRead>
  /** Px by which the page is wider than its window, as its engine says, and the block that is to blame; none where it was not asked. */
  past?: { by: number; block?: string }
  /** Px by which motions carry blocks past the window, by their ids, each where it is furthest; where motions were looked at. */
  carried?: ReadonlyMap<string, number>
}

export const widthOf = ({ left, right }: Box): number => right - left
export const heightOf = ({ top, bottom }: Box): number => bottom - top

/** How far two boxes lie over each other, px across and down; less than 0 is the space between them. */
export const overlapOf = (a: Box, b: Box): { x: number; y: number } => ({
  x: Math.min(a.right, b.right) - Math.max(a.left, b.left),
  y: Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top),
})

/** Lines are higher than their letters by about this share of the size, above and below. */
const AIR = 0.22

/** A line as high as its letters. @param size of the letters, px */
export const lettersOf = (line: Box, size: number): Box => ({
  ...line,
  top: line.top + size * AIR,
  bottom: line.bottom - size * AIR,
})
