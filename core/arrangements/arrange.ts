import type { MakeId } from '#core/values/ids'
import type { Block, Section } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { isContainer } from '#core/blocks/tree'
import { withNewIds } from '#core/site/tree'
import type { Style, StyleValues } from '#core/style/registry'
import type { Arrangement } from './build'

/** Columns that arrangements are made for, in the widest, the middle and the narrow range. */
const MADE_FOR = { wide: 12, middle: 8, narrow: 4 } as const

/** Brings spans and starts from the columns that they were made for to those that a range has. */
function scaled(values: StyleValues, madeFor: number, columns: number): StyleValues {
  if (madeFor === columns) return values
  const factor = columns / madeFor
  const { span, start } = values
  return {
    ...values,
    ...(span === undefined ? {} : { span: Math.max(1, Math.min(columns, Math.round(span * factor))) }),
    ...(start === undefined ? {} : { start: Math.max(1, Math.min(columns, Math.round((start - 1) * factor) + 1)) }),
  }
}

/** The breakpoints of a site that stand for the middle and the narrow range; with one alone, it stands for both. */
export function rangesOf(breakpoints: readonly Breakpoint[]): { middle?: Breakpoint; narrow?: Breakpoint } {
  const [, middle] = breakpoints
  const narrow = breakpoints.length > 1 ? breakpoints.at(-1) : undefined
  return { ...(middle ? { middle } : {}), ...(narrow ? { narrow } : {}) }
}

function fitted({ base, below }: Style, breakpoints: readonly Breakpoint[]): Style {
  const { middle, narrow } = rangesOf(breakpoints)
  const ranges: Record<string, StyleValues> = {}
  if (middle && below?.middle) ranges[middle.id] = scaled(below.middle, MADE_FOR.middle, middle.columns)
  if (narrow && below?.narrow)
    ranges[narrow.id] = { ...ranges[narrow.id], ...scaled(below.narrow, MADE_FOR.narrow, narrow.columns) }
  return {
    ...(base && Object.keys(base).length > 0 ? { base: scaled(base, MADE_FOR.wide, breakpoints[0]!.columns) } : {}),
    ...(Object.keys(ranges).length > 0 ? { below: ranges } : {}),
  }
}

function fit<B extends Block>(block: B, breakpoints: readonly Breakpoint[]): B {
  const made = { ...block, style: fitted(block.style, breakpoints) }
  if (made.kind === 'nav' && made.folds) {
    const below = rangesOf(breakpoints)[made.folds.below as 'middle' | 'narrow']
    if (below) made.folds = { ...made.folds, below: below.id }
    else delete made.folds
  }
  return isContainer(made) ? { ...made, children: made.children.map((child) => fit(child, breakpoints)) } : made
}

/** How many entries an arrangement gets for a number that the words ask for. */
export const entriesFor = ({ entries }: Arrangement, wanted: number): number =>
  entries === null ? 0 : Math.max(entries.least, Math.min(entries.most, wanted === 0 ? entries.usual : wanted))

/** An arrangement as a section of a site: its tree on the site's columns, with ids, without words. */
export function arrange(arrangement: Arrangement, entries: number, breakpoints: readonly Breakpoint[], makeId: MakeId): Section {
  return withNewIds(fit(arrangement.build(entriesFor(arrangement, entries)), breakpoints), makeId)
}
