import type { Breakpoint } from '#core/grid/breakpoint'
import type { PropertyName, PropertyValue, Scope, Style } from './registry'

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

/** Index of the breakpoint that a scope is about; 0 for all widths and for hover. */
export function rangeOf(breakpoints: readonly Breakpoint[], scope: Scope): number {
  if (typeof scope !== 'object') return 0
  return Math.max(
    0,
    breakpoints.findIndex((one) => one.id === scope.below),
  )
}
