import { visible } from '#core/site/visible'
import type { Block, Container, Section } from '#core/blocks/index'
import { showsOne } from '#core/blocks/panel'
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

/** True where readers get to what stands out at the side of some holders: they scroll, or show what is in them in turn. */
export const passesBy = (holders: readonly Container[], facts: Facts, range: number): boolean =>
  holders.some((one) => {
    if (one.kind === 'slideshow') return true
    const values = facts.get(one.id)?.values[range]
    return values?.scrolls === true || values?.rows === 'scroll'
  })

/** True for two blocks of which visitors see one at a time, since what holds both shows one of its blocks. */
export function isSeenInTurn(a: Fact, b: Fact): boolean {
  const under = ({ holders, block }: Fact, holder: Container) => holders[holders.indexOf(holder) + 1] ?? block
  return a.holders.some(
    (one) => (showsOne(one) || one.kind === 'slideshow') && b.holders.includes(one) && under(a, one) !== under(b, one),
  )
}
