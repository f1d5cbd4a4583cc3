import type { Breakpoint } from '#core/grid/breakpoint'
import type { Facts } from './facts'
import { heightOf, type Reading } from './reading'

/** Share by which the height of a section may change from one px to the next. */
const MOST = 1 / 3
/** Px by which boxes may differ from one px of the window to the next and nothing has changed. */
const STILL = 2

/** What one section does at a breakpoint: how much its height changes at once, as a factor, and whether nothing in it changes. */
export type AtBreakpoint = { section: string; below: number; factor: number; still: boolean }

/** What the sections do at a breakpoint. @param before what was read at the last width below it; `after` at the first above */
export function atBreakpoint(before: Reading, after: Reading, facts: Facts): AtBreakpoint[] {
  const found = new Map<string, AtBreakpoint>()
  const tops = new Map<string, number>()
  for (const [id, fact] of facts) {
    const [a, b] = [before.blocks.get(id), after.blocks.get(id)]
    const section = fact.section.id
    if (fact.block.kind === 'section') {
      const factor = a && b ? Math.max(heightOf(a.box), 1) / Math.max(heightOf(b.box), 1) : 1
      found.set(id, { section: id, below: after.width, factor, still: true })
      if (a && b) tops.set(id, a.box.top - b.box.top)
    }
    const one = found.get(section)
    if (!one) continue
    // What stands above it may change its place, and not it.
    const shift = tops.get(section) ?? 0
    const far = (x: number, y: number) => Math.abs(x - y) > STILL
    if (!a !== !b) one.still = false
    else if (a && b) {
      const [p, q] = [a.box, b.box]
      if (far(p.left, q.left) || far(p.right, q.right) || far(p.top - shift, q.top) || far(p.bottom - shift, q.bottom))
        one.still = false
      if (a.words && b.words && Math.abs(a.words.size - b.words.size) > 0.5) one.still = false
    }
  }
  return [...found.values()]
}

/** True for a change of height that readers who turn a screen or drag a window take for a jump. */
export const isJump = (factor: number): boolean => factor > 1 + MOST || factor < 1 / (1 + MOST)

/** Breakpoints at which no section changes. */
export const idleBreakpoints = (seen: readonly AtBreakpoint[], breakpoints: readonly Breakpoint[]): number[] =>
  breakpoints.flatMap(({ below }) => {
    const there = seen.filter((one) => one.below === below)
    return below !== null && there.length > 0 && there.every((one) => one.still) ? [below] : []
  })
