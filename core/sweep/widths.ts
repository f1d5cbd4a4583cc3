import type { Breakpoint } from '#core/grid/breakpoint'

/** Widths that a page is run through, px. */
export const SWEPT = { from: 280, to: 2560 } as const

/** Steps in which the widths are looked at first, px: as the window grows, the same happens over more of them. */
export const stepAt = (width: number): number => Math.max(20, width / 32)

/** The last width below each breakpoint, and the first at which it no longer holds: what changes at once changes there. */
export const widthsAtBreakpoints = (breakpoints: readonly Breakpoint[]): number[] =>
  breakpoints.flatMap(({ below }) => (below === null || below <= SWEPT.from || below > SWEPT.to ? [] : [below - 1, below]))

/** The widths from which columns are as wide as they get: boxes that grew stand still from there. */
export const widthsAtContainers = (breakpoints: readonly Breakpoint[]): number[] =>
  breakpoints.flatMap(({ container, margin, below }, n) => {
    const [width, from] = [Math.round(container + 2 * margin), breakpoints[n + 1]?.below ?? SWEPT.from]
    return width > from && width < (below ?? SWEPT.to) ? [width] : []
  })

/** All widths at which something may change at once, or go on otherwise. */
export const turningWidths = (breakpoints: readonly Breakpoint[]): number[] => [
  ...widthsAtBreakpoints(breakpoints),
  ...widthsAtContainers(breakpoints),
]
