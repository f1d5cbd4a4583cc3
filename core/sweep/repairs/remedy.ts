import type { Block, Container } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Layout } from '#core/style/property'
import type { PropertyName, StyleValues } from '#core/style/registry'
import type { WidthFinding } from '../find'

type Changed = { [N in PropertyName]?: StyleValues[N] | null }

/** One way to mend a finding: what it says on its button, the block that it changes and the values that it sets there, and other blocks that change with it. */
export type Remedy = { label: string; block: string; values: Changed; others?: readonly { block: string; values: Changed }[] }

/** What a remedy is made from. */
export type Ailing = {
  finding: WidthFinding
  block: Block
  values: StyleValues
  /** How it lays out what it holds, if anything. */
  layout: Layout
  /** What holds it, the innermost first, with its values and how it lays out what it holds. */
  around: readonly { block: Container; values: StyleValues; layout: Layout }[]
  /** Columns of the section that it stands in. */
  grid: Breakpoint
}

/** Ways that might mend a finding. Whether they do is tried; so one says what it could be, and not whether it is. */
export type RemedyMaker = (ailing: Ailing) => Remedy[]
