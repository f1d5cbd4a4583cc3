import type { Breakpoint } from '#core/grid/breakpoint'
import {
  inOrder,
  isState,
  type PropertyName,
  type PropertyValue,
  type Scope,
  type Style,
  type StyleValues,
  valuesIn,
} from './registry'

/**
 * The cascade, in one place: which values of a block hold where. The base holds at every width; an exception holds below
 * its breakpoint, and below the narrower ones unless they have their own; hover goes over what holds.
 */

const NOTHING: StyleValues = {}

const known = new WeakMap<Style, { breakpoints: readonly Breakpoint[]; ranges: readonly StyleValues[] }>()

/**
 * The values that hold at each range of widths, the widest first; a range without exceptions shares the object of the
 * one before. Resolved once for each style: styles are never changed, another one takes their place.
 */
export function valuesByRange(style: Style, breakpoints: readonly Breakpoint[]): readonly StyleValues[] {
  const before = known.get(style)
  if (before?.breakpoints === breakpoints) return before.ranges
  const { base, below } = style
  let values = inOrder(base ?? NOTHING)
  const ranges = breakpoints.map(({ id }, index) => {
    const exceptions = index === 0 ? undefined : below?.[id]
    if (exceptions) values = inOrder({ ...values, ...exceptions })
    return values
  })
  // A style that is not frozen is still being made.
  if (Object.isFrozen(style)) known.set(style, { breakpoints, ranges })
  return ranges
}

/** The value that holds at one range of widths; `index` counts the site's breakpoints, 0 being the widest. */
export const valueAt = <N extends PropertyName>(
  style: Style,
  name: N,
  breakpoints: readonly Breakpoint[],
  index: number,
): PropertyValue<N> | undefined => valuesByRange(style, breakpoints)[index]![name]

/** The value that holds where a scope sets values: at its range, or in its state. */
export function valueInScope<N extends PropertyName>(
  style: Style,
  name: N,
  breakpoints: readonly Breakpoint[],
  scope: Scope,
): PropertyValue<N> | undefined {
  const own = isState(scope) ? valuesIn(style, scope)?.[name] : undefined
  return own ?? valueAt(style, name, breakpoints, rangeOf(breakpoints, scope))
}

/** The ranges of widths as scopes, the widest first, which is the base. */
export const rangeScopes = (breakpoints: readonly Breakpoint[]): Scope[] =>
  breakpoints.map((one): Scope => (one.below === null ? 'base' : { below: one.id }))

/** Index of the breakpoint that a scope is about; 0 for all widths and for states. */
export function rangeOf(breakpoints: readonly Breakpoint[], scope: Scope): number {
  if (typeof scope !== 'object') return 0
  return Math.max(
    0,
    breakpoints.findIndex((one) => one.id === scope.below),
  )
}
