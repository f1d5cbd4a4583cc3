import type { Breakpoint } from './breakpoint'

type Grid = Pick<Breakpoint, 'columns' | 'gutter' | 'margin' | 'container'>

/** Index of the breakpoint that holds at a viewport width in px: the narrowest whose `below` is above the width. */
export function rangeAt(breakpoints: readonly Breakpoint[], viewport: number): number {
  let index = 0
  for (let i = 1; i < breakpoints.length; i++) if (viewport < breakpoints[i]!.below!) index = i
  return index
}

/** Width of all columns and the gutters between them, px, at a viewport width in px. */
export function contentWidth(grid: Grid, viewport: number): number {
  return Math.max(0, Math.min(viewport - 2 * grid.margin, grid.container))
}

/** Space left of the first column, px. */
export function contentOffset(grid: Grid, viewport: number): number {
  return (viewport - contentWidth(grid, viewport)) / 2
}

/** Width of one column, px: what the gutters leave, shared equally. Columns and gutters add up to the content width. */
export function columnWidth(grid: Grid, viewport: number): number {
  return Math.max(0, (contentWidth(grid, viewport) - (grid.columns - 1) * grid.gutter) / grid.columns)
}

/** Width of `span` neighbouring columns with the gutters between them, px. */
export function spanWidth(grid: Grid, viewport: number, span: number): number {
  return span * columnWidth(grid, viewport) + (span - 1) * grid.gutter
}

/** Left and right edge of each column, px from the viewport's left. */
export function columnEdges(grid: Grid, viewport: number): { left: number; right: number }[] {
  const width = columnWidth(grid, viewport)
  const offset = contentOffset(grid, viewport)
  return Array.from({ length: grid.columns }, (_, i) => {
    const left = offset + i * (width + grid.gutter)
    return { left, right: left + width }
  })
}
