import type { Block, Section } from '#core/blocks/index'
import { showsOne } from '#core/blocks/panel'
import { isContainer } from '#core/blocks/tree'
import { layoutAt } from '#core/render/surround'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Site } from '#core/site/schema'
import { visibleIn } from '#core/site/visible'
import { valuesByRange } from '#core/style/cascade'
import type { StyleValues } from '#core/style/registry'
import type { Length } from '#core/values/length'

const known = new WeakMap<Section, { breakpoints: Site['breakpoints']; unsettled: ReadonlySet<string> }>()

const isLess = (length: Length | undefined) =>
  length !== undefined &&
  ('value' in length ? length.value < 0 : 'fluid' in length && Math.min(length.fluid.from.px, length.fluid.to.px) < 0)

/** True for a block that may stand out of what holds it, above or below: it has a height of its own, a place outside the flow, or rows that do not grow. */
const isOut = ({ kind }: Block, values: StyleValues): boolean =>
  values.height !== undefined ||
  (values.aspect !== undefined && kind !== 'picture' && kind !== 'shape' && kind !== 'video') ||
  values.rowSizes !== undefined ||
  (values.leading ?? 1) < 0.9 ||
  (values.position !== undefined && values.position !== 'flow' && values.position !== 'backdrop')

/** The same, or for one that is pulled, or has edges which are drawn over what is above or below it. */
export const mayReachOut = (block: Block, values: StyleValues): boolean =>
  isOut(block, values) ||
  [values.spaceBefore, values.spaceAfter].some(isLess) ||
  (values.topShape ?? values.bottomShape) !== undefined

/** True for a block that is laid over, behind or across others, or lays what it holds so. */
const isLaidOver = (block: Block, values: StyleValues, breakpoints: readonly Breakpoint[], range: number): boolean =>
  block.kind === 'slideshow' ||
  showsOne(block) ||
  values.layer !== undefined ||
  values.rowStart !== undefined ||
  (isContainer(block) && layoutAt(block, breakpoints, range) === 'overlay')

/** Blocks that are pulled over others in what holds them, and those others. */
function pulledIn(block: Block, breakpoints: readonly Breakpoint[]): Block[] {
  if (!isContainer(block)) return []
  const children = block.children.filter((one) => !one.hidden)
  return children.flatMap((child, n) => {
    const values = valuesByRange(child.style, breakpoints)
    const isPulled = (...names: ('spaceBefore' | 'spaceAfter' | 'spaceStart' | 'spaceEnd')[]) =>
      values.some((one) => names.some((name) => isLess(one[name])))
    const beside = isPulled('spaceStart', 'spaceEnd')
    const [above, below] = [beside || isPulled('spaceBefore'), beside || isPulled('spaceAfter')]
    if (!above && !below) return pulledIn(child, breakpoints)
    return children.filter((_, i) => i === n || (i < n ? above : below)).flatMap(visibleIn)
  })
}

/**
 * Ids of the blocks of a section of which it matters where their lines stand. Of all others everything is below or beside
 * what is before it, at any width: a line more moves what is below it, and covers or cuts off nothing.
 */
export function unsettledIn(section: Section, { breakpoints }: Pick<Site, 'breakpoints'>): ReadonlySet<string> {
  const before = known.get(section)
  if (before?.breakpoints === breakpoints) return before.unsettled
  const all = visibleIn(section)
  const flows = all.every((block) =>
    valuesByRange(block.style, breakpoints).every(
      (values, range) => !isOut(block, values) && !isLaidOver(block, values, breakpoints, range),
    ),
  )
  const unsettled = new Set((flows ? pulledIn(section, breakpoints) : all).map((one) => one.id))
  if (Object.isFrozen(section)) known.set(section, { breakpoints, unsettled })
  return unsettled
}
