import type { Block } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { withSections } from '#core/site/tree'
import type { StyleValues } from '#core/style/registry'
import type { Length } from '#core/values/length'
import { mapBlocks, type Stress } from './stress'

/** A length twice as long, where it is one of its own: tokens, shares and what hangs on the letters follow by themselves. */
export function doubled<L extends Length | { step: number }>(length: L): L {
  if ('fluid' in length) {
    const { from, to } = length.fluid
    return { fluid: { from: { ...from, px: from.px * 2 }, to: { ...to, px: to.px * 2 } } } as L
  }
  return 'value' in length && (length.unit === 'px' || length.unit === 'rem') ? { ...length, value: length.value * 2 } : length
}

const doubledValues = <V extends StyleValues | undefined>(values: V): V =>
  values?.size ? { ...values, size: doubled(values.size as Length) } : values

const enlarged = (block: Block): Block => {
  const { base, below } = block.style
  if (!base?.size && !Object.values(below ?? {}).some((one) => one.size)) return block
  const style = {
    ...block.style,
    ...(base ? { base: doubledValues(base) } : {}),
    ...(below ? { below: Object.fromEntries(Object.entries(below).map(([id, values]) => [id, doubledValues(values)])) } : {}),
  }
  return { ...block, style } as Block
}

const known = new WeakMap<Site['guide'], Site['guide']>()

/** The guide with all letters twice as large; remembered, so that what hangs on it is not made anew. */
function largeGuide(guide: Site['guide']): Site['guide'] {
  let made = known.get(guide)
  if (!made) {
    const { base } = guide.scale
    made = {
      ...guide,
      scale: { ...guide.scale, base: { narrow: base.narrow * 2, wide: base.wide * 2 } },
      types: guide.types.map((one) => ({ ...one, size: doubled(one.size) })),
    }
    known.set(guide, made)
  }
  return made
}

const enlargedSections = new WeakMap<object, unknown>()

export const bigText: Stress = {
  label: 'Text at 200 %',
  note: 'words alone, not the window (WCAG 1.4.4)',
  change: (site) => ({
    ...withSections(site, (section) => {
      const before = enlargedSections.get(section) as typeof section | undefined
      if (before) return before
      const made = mapBlocks(section, enlarged)
      if (Object.isFrozen(section)) enlargedSections.set(section, made)
      return made
    }),
    guide: largeGuide(site.guide),
  }),
}
