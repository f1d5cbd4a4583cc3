import { currentOf, overlaid } from '#core/site/directions'
import type { Place } from '#core/site/tree'
import {
  appliesTo,
  type PropertyName,
  propertyOf,
  type PropertyValue,
  type Scope,
  type StyleValues,
  valuesIn,
} from '#core/style/registry'
import { valueAt } from '#core/style/resolve'
import { useCompose, useComposeState } from '../context'
import { edit, makeId, selected } from '../store'
import { rangeOf } from './figures'

export type StyleAccess = {
  place: Place
  scope: Scope
  range: number
  has: (name: PropertyName) => boolean
  /** The value that holds in the scope. */
  get: <N extends PropertyName>(name: N) => PropertyValue<N> | undefined
  /** True if the scope itself sets the value, over the base. */
  isException: (name: PropertyName) => boolean
  base: <N extends PropertyName>(name: N) => PropertyValue<N> | undefined
  set: (values: { [N in PropertyName]?: StyleValues[N] | null }, gesture?: string) => void
}

/** The style of the selected block in the scope that is edited. */
export function useStyle(place: Place): StyleAccess {
  const store = useCompose()
  const scope = useComposeState((state) => state.scope)
  const breakpoints = useComposeState((state) => state.session.site.breakpoints)
  const onlyHere = useComposeState((state) => state.onlyHere)
  const direction = useComposeState((state) => currentOf(state.session.site))
  const { kind } = place.block
  const over = direction.restyled[place.block.id]
  const style = over ? overlaid(place.block.style, over) : place.block.style
  const range = rangeOf(breakpoints, scope)
  const own = valuesIn(style, scope)
  return {
    place,
    scope,
    range,
    has: (name) => appliesTo(name, kind) && (scope !== 'hover' || propertyOf(name).onHover === true),
    get: (name) =>
      scope === 'hover'
        ? ((own?.[name] as never) ?? valueAt(style, name, breakpoints, 0))
        : valueAt(style, name, breakpoints, range),
    isException: (name) => scope !== 'base' && own?.[name] !== undefined,
    base: (name) => style.base?.[name] as never,
    set: (values, gesture) => {
      // What this direction has restyled already stays its own.
      const held = over && valuesIn(over, scope)
      const isHeld = held !== undefined && Object.keys(values).every((name) => name in held)
      const alone = onlyHere || isHeld ? { direction: direction.id } : {}
      edit(store, { kind: 'style', block: place.block.id, scope, values, ...alone }, gesture)
    },
  }
}

/** The selected block, for parts that are only shown when there is one. */
export function useSelected(): Place | undefined {
  return useComposeState(selected)
}

/** A gesture for one stretch of changes in a field. */
export const newGesture = makeId
