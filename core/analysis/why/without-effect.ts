import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import { rangeScopes } from '#core/style/cascade'
import { type PropertyName, valuesIn } from '#core/style/registry'
import { type Block, kindOf } from '#core/blocks/index'
import { isSame } from '#core/values/equal'
import type { Finding } from '../finding'
import { COLUMN_RULES } from './columns'
import { POSITION_RULES } from './positions'
import { atRange, type Why } from './rule'
import { SIZE_RULES } from './sizes'
import { SURFACE_RULES } from './surfaces'

/** A setting that has no effect: which, why, and the one change that makes it work. */
export type WithoutEffect = Finding<'without-effect'> & Why

export const WHY_RULES = [...COLUMN_RULES, ...SIZE_RULES, ...POSITION_RULES, ...SURFACE_RULES]

/** True for a value that every new block of its kind is given: nobody has set it, so nobody wonders why it does nothing. */
const isGiven = (block: Block, property: PropertyName, value: unknown): boolean =>
  isSame(kindOf(block.kind).style?.[property], value)

/**
 * Settings of a block that change nothing at one range of widths, each with its reason and a repair for that range. At a
 * narrower range only what is set there itself is named: what comes from a wider one was meant for that. That they change
 * nothing, and that others do, is tried in the browser (e2e/why.spec.ts).
 * @param index counts the site's breakpoints, 0 being the widest
 */
export function settingsWithoutEffect(site: Site, place: Place, index: number): WithoutEffect[] {
  const at = atRange(site, place, index)
  const scope = rangeScopes(site.breakpoints)[index]!
  const own = valuesIn(place.block.style, scope)
  const found: WithoutEffect[] = []
  for (const rule of WHY_RULES) {
    const why = rule(at)
    // One reason for each property is enough.
    if (
      !why ||
      own?.[why.property] === undefined ||
      isGiven(place.block, why.property, own[why.property]) ||
      found.some((one) => one.property === why.property)
    )
      continue
    const { label, edit } = why.repair
    const repair = { label, edit: edit.kind === 'style' ? { ...edit, scope } : edit }
    found.push({ kind: 'without-effect', block: place.block.id, ...why, repair })
  }
  return found
}
