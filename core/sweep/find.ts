import type { Finding, Range } from '#core/analysis/finding'
import { rangeAt } from '#core/grid/columns'
import { viewportHeightFor } from '#core/grid/viewport-height'
import type { Page, Site } from '#core/site/schema'
import { type AtBreakpoint, atBreakpoint, isJump } from './at-breakpoints'
import { calledFirst } from '#core/blocks/called'
import type { AtWidth } from './check'
import { MOST_LINES } from './checks/heading-lines'
import { WIDTH_CHECKS, WIDTH_KINDS, type WidthKind } from './checks/index'
import { factsOf } from './facts'
import { type BlockRead, type Reading, widthOf } from './reading'
import type { Held } from './sweep'
import { widthsAtBreakpoints } from './widths'

/** What is found by running a page through its widths. */
export type WidthFinding = Finding<WidthKind | 'jump' | 'idleBreakpoint'> & {
  /** True for what keeps readers from something; the others are for the designer's eye. */
  fault: boolean
  ranges: Range[]
  /** The width at which it is worst, px. */
  worst: number
  /** Section that it stands in. */
  section?: string
  /** How many times as high a section becomes at a breakpoint, where it is about that. */
  factor?: number
  /** Size of its letters at that width, px, and a size at which they would fit. */
  set?: { size: number; fits: number }
}

/** What tells one finding from the others of a page: its kind, its block and the other that is concerned. */
export const keyOf = ({
  kind,
  block = '',
  beside,
}: {
  kind: string
  block?: string | undefined
  beside?: string | undefined
}): string => (beside === undefined ? `${kind} ${block}` : `${kind} ${block} ${beside}`)

/** What sections of a page are found to do, once they were read at all widths that a sweep asks for. */
export type Finder = {
  /** Takes what was read at one width. @returns the keys of all that holds there */
  look: (reading: Reading) => ReadonlySet<string>
  /** What is found, once all widths were looked at, and what the sections do at breakpoints. */
  findings: (held: readonly Held[]) => { findings: WidthFinding[]; at: AtBreakpoint[] }
}

/**
 * A finder for some sections of a page.
 * @param heightFor the height of the window at a width, px
 * @param mirrored true where lines begin at the right
 */
export function createFinder(site: Site, sections: Page['sections'], heightFor = viewportHeightFor, mirrored?: boolean): Finder {
  const { breakpoints, pictures, language } = site
  const facts = factsOf(site, sections)
  const figures = new Map<string, Map<number, number>>()
  const sizes = new Map<string, Map<number, { size: number; fits: number }>>()
  const kept = new Map<number, Reading>()
  const keep = new Set(widthsAtBreakpoints(breakpoints))
  return {
    look(reading) {
      const { width } = reading
      const range = rangeAt(breakpoints, width)
      const at: AtWidth = { reading, facts, breakpoints, range, window: heightFor(width), mirrored, pictures }
      const keys = new Set<string>()
      for (const kind of WIDTH_KINDS)
        for (const { block, beside, by } of WIDTH_CHECKS[kind].find(at)) {
          const key = keyOf({ kind, block, beside })
          keys.add(key)
          let widths = figures.get(key)
          if (!widths) figures.set(key, (widths = new Map()))
          widths.set(width, Math.max(by, widths.get(width) ?? 0))
          const fits = fittingSize(kind, reading.blocks.get(block), by)
          if (fits) sizes.set(key, (sizes.get(key) ?? new Map<number, typeof fits>()).set(width, fits))
        }
      if (keep.has(width)) kept.set(width, reading)
      return keys
    },
    findings(held) {
      const ranges = new Map<string, Range[]>()
      for (const { key, from, to } of held) ranges.set(key, [...(ranges.get(key) ?? []), { from, to }])
      const found = [...ranges].flatMap(([key, list]): WidthFinding[] => {
        const [kind, block, beside] = key.split(' ') as [WidthKind, string, string | undefined]
        const fact = facts.get(block)
        if (!fact) return []
        const [worst, by] = worstOf(figures.get(key)!, list)
        const other = beside === undefined ? undefined : facts.get(beside)
        const about = { fact, by, width: worst, language, ...(other ? { beside: other } : {}) }
        const { fault, say } = WIDTH_CHECKS[kind]
        const set = sizes.get(key)?.get(worst)
        const found: WidthFinding = { kind, fault, block, section: fact.section.id, ranges: list, worst, ...say(about) }
        return [{ ...found, ...(beside === undefined ? {} : { beside }), ...(set ? { set } : {}) }]
      })
      const at = breakpoints.flatMap(({ below }) => {
        const [before, after] = below === null ? [] : [kept.get(below - 1), kept.get(below)]
        return before && after ? atBreakpoint(before, after, facts) : []
      })
      const jumps = at.flatMap(({ section, below, factor }): WidthFinding[] =>
        isJump(factor)
          ? [
              {
                kind: 'jump',
                fault: false,
                block: section,
                section,
                ranges: [{ from: below - 1, to: below }],
                worst: below - 1,
                factor: 1 / factor,
                sentence: `${calledFirst(facts.get(section)!, language)} becomes ${(1 / factor).toFixed(2)} times as high from one px to the next.`,
                why: `Below ${below} px it is laid out otherwise; more than a third of its height comes or goes at once.`,
              },
            ]
          : [],
      )
      return { findings: [...found, ...jumps], at }
    },
  }
}

/** The size of a block's letters, px, and the one at which they would fit, where what was seen has to do with it. */
function fittingSize(kind: WidthKind, read: BlockRead | undefined, by: number): { size: number; fits: number } | undefined {
  if (!read?.words) return undefined
  const { size, lines } = read.words
  const width = Math.max(1, widthOf(read.box))
  if (kind === 'brokenWord' || kind === 'pastWindow' || kind === 'pastHolder' || kind === 'cutWords')
    return { size, fits: (size * width) / (width + by) }
  if (kind === 'secondLine') return { size, fits: size / Math.max(1.1, lines.length) }
  return kind === 'headingLines' ? { size, fits: (size * MOST_LINES) / (by + 0.5) } : undefined
}

/** The width at which something is worst, and how bad it is there; of several, the narrowest. */
function worstOf(figures: ReadonlyMap<number, number>, ranges: readonly Range[]): [width: number, by: number] {
  let worst: [number, number] = [ranges[0]!.from, -Infinity]
  for (const [width, by] of [...figures].sort(([a], [b]) => a - b))
    if (by > worst[1] && ranges.some(({ from, to }) => width >= from && width <= to)) worst = [width, by]
  return worst
}

/** How many widths a finding holds at. */
export const reachOf = ({ ranges }: Pick<WidthFinding, 'ranges'>): number =>
  ranges.reduce((sum, { from, to }) => sum + to - from + 1, 0)

const GRAVITY = new Map<string, number>([...WIDTH_KINDS, 'jump', 'idleBreakpoint'].map((kind, n) => [kind, n]))

/** The worst first: faults before the rest, the gravest kinds of them, and those that hold at most widths. */
export const inOrder = (list: readonly WidthFinding[]): WidthFinding[] =>
  list.toSorted(
    (a, b) => Number(b.fault) - Number(a.fault) || GRAVITY.get(a.kind)! - GRAVITY.get(b.kind)! || reachOf(b) - reachOf(a),
  )

/** What is said of a breakpoint at which nothing on any page changes. */
export const idleFinding = (below: number): WidthFinding => ({
  kind: 'idleBreakpoint',
  fault: false,
  ranges: [{ from: below - 1, to: below }],
  worst: below,
  sentence: `Nothing changes at the breakpoint below ${below} px.`,
  why: `All boxes are the same at ${below - 1} and at ${below} px, and no exception is set for it on any page.`,
})
