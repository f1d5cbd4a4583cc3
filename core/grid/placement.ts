import { narrowSpan, type Reach } from './reach'

/** Columns that a block takes: from a column (or wherever it falls) over a number of columns. */
export type Placement = { start: number | null; span: number }

/**
 * Where a block stands in a grid of `columns` columns, out of what was asked for. A span keeps its number of columns
 * and is cut to what there is, so that 4 of 12 is a third, 4 of 8 a half and 4 of 4 the full row; a first column
 * that leaves too little room is dropped, and the block takes the next free place. How far it reaches says where it
 * stands, where that is set.
 */
export function placementIn(columns: number, span: number | undefined, start: number | undefined, reach?: Reach): Placement {
  if (reach === 'container' || reach === 'full') return { start: null, span: columns }
  if (reach === 'narrow') {
    const narrow = narrowSpan(columns)
    return { start: narrow === columns ? null : (columns - narrow) / 2 + 1, span: narrow }
  }
  if (reach !== undefined) {
    const taken = Math.min(span ?? columns, columns)
    return { start: taken === columns ? null : reach === 'left' ? 1 : columns - taken + 1, span: taken }
  }
  const fitted = Math.min(span ?? columns, columns)
  const fits = start !== undefined && start + fitted - 1 <= columns
  return { start: fits && fitted < columns ? start : null, span: fitted }
}

/** The `grid-column` of a placement. The full row is written with line numbers, so that it needs no count. */
export function placementToCss({ start, span }: Placement, columns: number): string {
  if (span === columns) return '1 / -1'
  if (start === null) return `span ${span}`
  return span === 1 ? String(start) : `${start} / span ${span}`
}
