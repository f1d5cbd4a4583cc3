import type { StyleGuide, TypeRole } from '#core/site/style-guide'
import type { Length } from '#core/style/values'
import { leadingAt, leadingToCss } from './leading'
import { stepFluid } from './scale'

/** A type role with its size worked out: a step of the scale becomes a fluid size. */
export type TypeSet = Omit<TypeRole, 'size'> & { size: Length }

/** The size of a type role: its own, or that of its step of the guide's scale. */
export const sizeOf = ({ scale }: Pick<StyleGuide, 'scale'>, { size }: Pick<TypeRole, 'size'>): Length =>
  'step' in size ? { fluid: stepFluid(scale, size.step) } : size

/** A type role by its name. */
export function typeOf(guide: StyleGuide, role: string): TypeSet | undefined {
  const found = guide.types.find((one) => one.role === role)
  return found && { ...found, size: sizeOf(guide, found) }
}

/** The `line-height` of a type role: its own figure, or what the guide's leading gives for any size. */
export const leadingCssOf = (guide: Pick<StyleGuide, 'leading'>, { leading }: Pick<TypeRole, 'leading'>): string =>
  leading === undefined ? leadingToCss(guide.leading) : String(leading)

/** Leading of a type role at a size in px, as a multiple of it. */
export const leadingOf = (guide: Pick<StyleGuide, 'leading'>, { leading }: Pick<TypeRole, 'leading'>, px: number): number =>
  leading ?? leadingAt(guide.leading, px)
