/** Four sides, px of the page. */
export type Sides = { left: number; right: number; top: number; bottom: number }

/** A block as it is laid out in a view: its edges from the top left corner of the page, and what is inside them, px. */
export type MeasuredBlock = {
  edges: Sides
  border: Sides
  padding: Sides
  margin: Sides
  columnGap: number
  rowGap: number
  /** Widths of its columns, where it is a grid with columns of its own; none where they are handed down. */
  columns: number[]
  /** What it lays out, in the order of the page, without what is taken out of the flow. */
  laidOut: { id: string; edges: Sides; margin: Sides }[]
}
