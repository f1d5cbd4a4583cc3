import type { Breakpoint } from '#core/site/schema'
import type { PropertyName, PropertyValue, Style } from './registry'

/**
 * The value that holds in one range of widths: the exception of that range, or of the nearest wider one, or the base.
 * `index` counts the site's breakpoints, 0 being the widest.
 */
export function valueAt<N extends PropertyName>(
  style: Style,
  name: N,
  breakpoints: readonly Breakpoint[],
  index: number,
): PropertyValue<N> | undefined {
  if (style.below) {
    for (let i = index; i > 0; i--) {
      const value = style.below[breakpoints[i]!.id]?.[name]
      if (value !== undefined) return value as PropertyValue<N>
    }
  }
  return style.base?.[name] as PropertyValue<N> | undefined
}
