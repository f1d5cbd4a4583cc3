import type { StyleGuide, TypeRole } from './style-guide'
import type { Length } from '#core/values/length'
import { leadingAt } from '#core/type/leading'
import { stepFluid } from '#core/type/scale'

/** A type role with its size worked out: a step of the scale becomes a fluid size. */
export type TypeSet = Omit<TypeRole, 'size'> & { size: Length }

/** The size of a type role: its own, or that of its step of the guide's scale. */
export const sizeOf = ({ scale }: Pick<StyleGuide, 'scale'>, { size }: Pick<TypeRole, 'size'>): Length =>
  'step' in size ? { fluid: stepFluid(scale, size.step) } : size

const known = new WeakMap<StyleGuide, Map<string, TypeSet>>()

/** A type role by its name; worked out once for each guide. */
export function typeOf(guide: StyleGuide, role: string): TypeSet | undefined {
  let types = known.get(guide)
  if (!types) {
    types = new Map(guide.types.map((one) => [one.role, { ...one, size: sizeOf(guide, one) }]))
    if (Object.isFrozen(guide)) known.set(guide, types)
  }
  return types.get(role)
}

/**
 * Leading of running text, as one multiple for all widths: it is handed down to words that are set larger or smaller
 * inside it, which a height in em of the page's own size would not suit.
 */
export const bodyLeading = (guide: Pick<StyleGuide, 'leading' | 'scale'>): number =>
  Math.round(leadingAt(guide.leading, guide.scale.base.wide) * 100) / 100

/** Leading of a type role at a size in px, as a multiple of it: its own figure, or that of the guide. */
export const leadingOf = (
  guide: Pick<StyleGuide, 'leading' | 'scale'>,
  { role, leading }: Pick<TypeRole, 'role' | 'leading'>,
  px: number,
): number => leading ?? (role === 'body' ? bodyLeading(guide) : leadingAt(guide.leading, px))
