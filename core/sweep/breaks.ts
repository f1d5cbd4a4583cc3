import type { Breakpoint } from '#core/grid/breakpoint'
import { rangeAt } from '#core/grid/columns'
import type { Held } from './sweep'

/** Ways in which a block breaks at some widths. */
export const BREAKS = {
  page: 'runs past the window',
  word: 'has a word that is wider than its room',
  line: 'takes a second line',
  row: 'takes a second row',
} as const
export type BreakKind = keyof typeof BREAKS

export type Break = { kind: BreakKind; block: string; from: number; to: number }

export const breakKey = (kind: BreakKind, block: string): string => `${kind} ${block}`

export const breakOf = ({ key, from, to }: Held): Break => {
  const [kind, block] = key.split(' ') as [BreakKind, string]
  return { kind, block, from, to }
}

/** Widths that a page is run through, px. */
export const SWEPT = { from: 280, to: 1920 } as const

/** Breakpoints are no closer to each other than this, px. */
const APART = 8

/**
 * The breakpoints with a new one, below which a break holds; with the grid of the range that it stands in. Nothing where
 * one stands there already, all are taken, or it breaks at the widest that was looked at.
 */
export function withBreakpointFor(breakpoints: readonly Breakpoint[], { to }: Break, id: string): Breakpoint[] | undefined {
  const below = to + 1
  if (breakpoints.length >= 12 || to >= SWEPT.to) return undefined
  if (breakpoints.some((one) => one.below !== null && Math.abs(one.below - below) < APART)) return undefined
  const grid = breakpoints[rangeAt(breakpoints, to)]!
  return [...breakpoints, { ...grid, id, below }].sort((a, b) => (b.below ?? Infinity) - (a.below ?? Infinity))
}

/** A range in which things break, and those. */
export type Segment = { from: number; to: number; breaks: Break[] }

/** Ranges in which something breaks, those that overlap or follow each other as one. */
export function segmentsOf(breaks: readonly Break[]): Segment[] {
  const segments: Segment[] = []
  for (const one of [...breaks].sort((a, b) => a.from - b.from)) {
    const last = segments.at(-1)
    if (last && one.from <= last.to + 1) {
      last.to = Math.max(last.to, one.to)
      last.breaks.push(one)
    } else segments.push({ from: one.from, to: one.to, breaks: [one] })
  }
  return segments
}
