import type { Breakpoint } from '#core/grid/breakpoint'

/** Widths that a page is run through, px. */
export const SWEPT = { from: 280, to: 2560 } as const

/** Steps in which the widths are looked at first, px. */
export const STEP = 20

/** The last width below each breakpoint, and the first at which it no longer holds: what changes at once changes there. */
export const widthsAtBreakpoints = (breakpoints: readonly Breakpoint[]): number[] =>
  breakpoints.flatMap(({ below }) => (below === null || below <= SWEPT.from || below > SWEPT.to ? [] : [below - 1, below]))
