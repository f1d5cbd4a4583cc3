import type { Site } from '#core/site/schema'
import type { StyleValues } from '#core/style/registry'
import type { Length } from '#core/values/length'
import { changeSections, mapBlocks, type Stress, withValues } from './stress'

/** A length twice as long, where it is one of its own: tokens, shares and what hangs on the letters follow by themselves. */
export function doubled<L extends Length | { step: number }>(length: L): L {
  if ('fluid' in length) {
    const { from, to } = length.fluid
    return { fluid: { from: { ...from, px: from.px * 2 }, to: { ...to, px: to.px * 2 } } } as L
  }
  return 'value' in length && (length.unit === 'px' || length.unit === 'rem') ? { ...length, value: length.value * 2 } : length
}

const doubledValues = (values: StyleValues): StyleValues =>
  values.size ? { ...values, size: doubled(values.size as Length) } : values

const largeBlocks = changeSections((section) => mapBlocks(section, (block) => withValues(block, doubledValues)))

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

export const bigText: Stress = {
  label: 'Text at 200 %',
  note: 'words alone, not the window (WCAG 1.4.4)',
  change: (site) => ({ ...largeBlocks(site), guide: largeGuide(site.guide) }),
}
