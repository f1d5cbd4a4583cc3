import { currentOf, overlaid } from '#core/site/directions'
import type { Place } from '#core/site/tree'
import { appliesTo } from '#core/blocks/applies'
import { type PropertyName, propertyOf, type PropertyValue, type Scope, type StyleValues, valuesIn } from '#core/style/registry'
import { rangeOf, valueInScope } from '#core/style/cascade'
import { useSessionStore, useSession } from '../session/context'
import { edit, makeId, selected } from '../session/store'

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
  const store = useSessionStore()
  const scope = useSession((state) => state.scope)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const onlyHere = useSession((state) => state.onlyHere)
  const direction = useSession((state) => currentOf(state.session.site))
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
    get: (name) => valueInScope(style, name, breakpoints, scope),
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
  return useSession(selected)
}

/** A gesture for one stretch of changes in a field. */
export const newGesture = makeId
