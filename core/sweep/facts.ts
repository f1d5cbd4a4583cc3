import { visible } from '#core/site/visible'
import type { Block, Container, Section } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { layoutAt } from '#core/render/surround'
import type { Page, Site } from '#core/site/schema'
import { valuesByRange } from '#core/style/cascade'
import type { Layout } from '#core/style/property'
import type { StyleValues } from '#core/style/registry'

/** What the document says of a block, as far as the checks of a width ask. */
export type Fact = {
  block: Block
  section: Section
  /** What holds it, the outermost first; none for a section. */
  holders: readonly Container[]
  /** Values that hold at each range of widths, the widest first. */
  values: readonly StyleValues[]
}

/** The blocks of a page that are not hidden, by id, in reading order. */
export type Facts = ReadonlyMap<string, Fact>

const known = new WeakMap<Section, { breakpoints: Site['breakpoints']; facts: [string, Fact][] }>()

/** What the document says of the blocks of a page; remembered for each section that stays as it is. */
export function factsOf({ breakpoints }: Pick<Site, 'breakpoints'>, sections: Page['sections']): Facts {
  return new Map(
    sections.flatMap((section) => {
      const before = known.get(section)
      if (before?.breakpoints === breakpoints) return before.facts
      const none: readonly Container[] = []
      const facts = [...visible(section, none, (container, around) => [...around, container])].map(
        ({ block, around }): [string, Fact] => [
          block.id,
          { block, section, holders: around, values: valuesByRange(block.style, breakpoints) },
        ],
      )
      if (Object.isFrozen(section)) known.set(section, { breakpoints, facts })
      return facts
    }),
  )
}

/** Where a block stands at a range: in the flow, unless it is told otherwise. */
export const positionAt = ({ values }: Fact, range: number) => values[range]!.position ?? 'flow'

/** True where a block, or one of those around it, is laid over or behind others on purpose. */
export function isLaidOver(fact: Fact, facts: Facts, breakpoints: readonly Breakpoint[], range: number): boolean {
  return [...fact.holders.map((one) => facts.get(one.id)), fact].some((one) => {
    if (!one) return false
    const { position, layer } = one.values[range]!
    const layout: Layout = layoutAt(one.block, breakpoints, range)
    return position === 'held' || position === 'backdrop' || layer !== undefined || (one !== fact && layout === 'overlay')
  })
}
