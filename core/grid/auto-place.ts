/** A thing in a grid of columns: how many it takes, and the one that it begins at, counted from 1, where that is said. */
export type GridItem = { span: number; start: number | null }

/**
 * The column that each item of a grid begins at, counted from 1, as browsers place them: row by row, never back (CSS
 * Grid 1, 8.5, sparse packing). Spans are cut to the columns that there are; rows are one high.
 */
export function autoColumns(items: readonly GridItem[], columns: number): number[] {
  let column = 1
  return items.map(({ span: wanted, start }) => {
    const span = Math.min(wanted, columns)
    // One that says where it begins opens another row if that lies behind; one that does not, if there is no room.
    if (start !== null) column = start
    else if (column + span - 1 > columns) column = 1
    const at = column
    column += span
    return at
  })
}
