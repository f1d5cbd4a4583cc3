import type { Section } from '#core/blocks/index'
import { pxOf, sightOf } from '#core/render/line-box'
import type { Site } from '#core/site/schema'
import { visibleIn } from '#core/site/visible'
import { valuesByRange } from '#core/style/cascade'
import { LEAST_TARGET } from './checks/small-target'
import { mayReachOut } from './flows'
import { SWEPT } from './widths'

type Around = Pick<Site, 'guide' | 'breakpoints' | 'fonts' | 'language'>
const known = new WeakMap<Section, { around: Around; stays: boolean }>()

/**
 * True for a section out of which nothing can reach above or below, at any width: all in it is in the flow, and it grows with
 * that; and nothing in it that is pressed is near what is pressed in another. Two such sections have nothing to do with each
 * other, so that one can be looked at without the other.
 */
export function staysWithin(section: Section, site: Site): boolean {
  const { guide, breakpoints, fonts, language } = site
  const before = known.get(section)
  if (before && before.around.guide === guide && before.around.breakpoints === breakpoints) return before.stays
  const stays = breakpoints.every((one, index) => {
    const sight = sightOf(site, language, Math.max(SWEPT.from, (one.below ?? SWEPT.to + 1) - 1), 800)
    const { paddingTop, paddingBottom } = valuesByRange(section.style, breakpoints)[index]!
    const apart = [paddingTop, paddingBottom].every((length) => (pxOf(length, sight) ?? 0) >= LEAST_TARGET / 2)
    return apart && visibleIn(section).every((block) => !mayReachOut(block, valuesByRange(block.style, breakpoints)[index]!))
  })
  known.set(section, { around: { guide, breakpoints, fonts, language }, stays })
  return stays
}
