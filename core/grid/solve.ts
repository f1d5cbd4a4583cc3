/** A grid whose columns and gutters are whole px: container = columns × column + (columns − 1) × gutter. */
export type WholeGrid = { columns: number; column: number; gutter: number; container: number }

export const containerOf = (columns: number, column: number, gutter: number): number => columns * column + (columns - 1) * gutter

/** Gutters that are looked at, px. */
const GUTTERS = [8, 10, 12, 16, 20, 24, 30, 32, 40, 48]

/**
 * Every grid of whole px that fits into a width, the widest first; for each gutter the widest column that fits.
 * @param columns 1 to 24
 * @param most greatest width of the container, px
 */
export function solveGrid(columns: number, most: number): WholeGrid[] {
  return GUTTERS.flatMap((gutter) => {
    const column = Math.floor((most - (columns - 1) * gutter) / columns)
    // A column narrower than its gutter is no column to set anything on.
    return column < gutter ? [] : [{ columns, column, gutter, container: containerOf(columns, column, gutter) }]
  }).sort((a, b) => b.container - a.container || a.gutter - b.gutter)
}

/** Grids that are widely laid out on; the container follows from the rest. `fluid` has no greatest width to speak of. */
export const GRID_PRESETS = [
  { name: '960', columns: 12, column: 60, gutter: 20 },
  { name: '1140', columns: 12, column: 67.5, gutter: 30 },
  { name: '1200', columns: 12, column: 78, gutter: 24 },
  { name: '1320', columns: 12, column: 88, gutter: 24 },
].map((one) => ({ ...one, container: containerOf(one.columns, one.column, one.gutter) }))

/** Container of a fluid grid, px: wider than any screen that is looked at. */
export const FLUID_CONTAINER = 4000
