import type { Block, Section } from '#core/blocks/index'
import { pxOf, sightOf } from '#core/render/line-box'
import type { Site } from '#core/site/schema'
import { visibleIn } from '#core/site/visible'
import { valuesByRange } from '#core/style/cascade'
import type { StyleValues } from '#core/style/registry'
import type { Length } from '#core/values/length'
import { LEAST_TARGET } from './checks/small-target'
import { SWEPT } from './widths'

type Around = Pick<Site, 'guide' | 'breakpoints' | 'fonts' | 'language'>
const known = new WeakMap<Section, { around: Around; stays: boolean }>()

const isLess = (length: Length | undefined) =>
  length !== undefined &&
  ('value' in length ? length.value < 0 : 'fluid' in length && Math.min(length.fluid.from.px, length.fluid.to.px) < 0)

/** What may let a block stand out of what holds it, above or below: a height of its own, a pull, a place outside the flow, a row that does not grow. */
const mayReachOut = ({ kind }: Block, values: StyleValues): boolean =>
  values.height !== undefined ||
  (values.aspect !== undefined && kind !== 'picture' && kind !== 'shape' && kind !== 'video') ||
  values.rowSizes !== undefined ||
  (values.leading ?? 1) < 0.9 ||
  (values.position !== undefined && values.position !== 'flow' && values.position !== 'backdrop') ||
  (values.topShape ?? values.bottomShape) !== undefined ||
  [values.spaceBefore, values.spaceAfter].some(isLess)

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
