import type { Breakpoint } from '#core/grid/breakpoint'
import { rangeAt } from '#core/grid/columns'
import { SWEPT } from './widths'

/** Breakpoints are no closer to each other than this, px, and there are no more than so many. */
const [APART, MOST] = [8, 12]

/**
 * The breakpoints with a new one, with the grid of the range that it stands in. Nothing where one stands there already,
 * all are taken, or no width that is looked at is below it or above it.
 * @param below width of the window, px, that it no longer holds at
 */
export function withBreakpointBelow(breakpoints: readonly Breakpoint[], below: number, id: string): Breakpoint[] | undefined {
  if (breakpoints.length >= MOST || below > SWEPT.to || below <= SWEPT.from) return undefined
  if (breakpoints.some((one) => one.below !== null && Math.abs(one.below - below) < APART)) return undefined
  const grid = breakpoints[rangeAt(breakpoints, below - 1)]!
  return [...breakpoints, { ...grid, id, below }].sort((a, b) => (b.below ?? Infinity) - (a.below ?? Infinity))
}
