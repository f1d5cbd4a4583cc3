/**
 * A width as it follows the viewport: `viewport * v + content * c + px`, where content is the width of all columns
 * at that viewport. Placing blocks on columns and tracks keeps it linear, so `sizes` can be written exactly.
 */
export type Extent = { v: number; c: number; px: number }

export const scaled = ({ v, c, px }: Extent, factor: number): Extent => ({ v: v * factor, c: c * factor, px: px * factor })
