import type { Breakpoint } from '#core/grid/breakpoint'
import type { Picture } from '#core/picture/picture'
import type { BlockRead, Reading } from './reading'
import type { Fact, Facts } from './facts'

/** A page at one width: what was read of it, and what its document says there. */
export type AtWidth = {
  reading: Reading
  facts: Facts
  breakpoints: readonly Breakpoint[]
  /** Index of the breakpoint that holds at the width. */
  range: number
  /** Height of the window, px. */
  window: number
  /** True where lines begin at the right. */
  mirrored?: boolean | undefined
  pictures: readonly Picture[]
}

/** Something that was seen at one width: the block, another that is concerned, and how bad it is, in the check's own unit. */
export type Mark = { block: string; beside?: string; by: number }

/** What is to be said of a finding: the block, what it looks like at the width where it is worst, and how bad it is there. */
export type About = {
  fact: Fact
  beside?: Fact
  by: number
  /** The width at which it is worst, px. */
  width: number
  language: string
}

/** One check of a page at each of its widths. */
export type WidthCheck = {
  /** True for what keeps readers from something; the others are for the designer's eye. */
  fault: boolean
  find: (at: AtWidth) => Iterable<Mark>
  say: (about: About) => { sentence: string; why?: string }
}

/** The blocks that are seen at a width, with what was read of them and what the document says, in reading order. */
export function* seen({ reading, facts }: AtWidth): Generator<{ id: string; read: BlockRead; fact: Fact }> {
  for (const [id, read] of reading.blocks) {
    const fact = facts.get(id)
    if (fact) yield { id, read, fact }
  }
}
