import { currentOf, overlaid } from '#core/site/directions'
import { type Edit, editLabel } from '#core/edits/index'
import type { Place } from '#core/site/tree'
import { isSame } from '#core/values/equal'
import { appliesTo } from '#core/blocks/applies'
import {
  type PropertyName,
  propertyOf,
  type PropertyValue,
  type Scope,
  type Style,
  type StyleValues,
  valuesIn,
  isState,
} from '#core/style/registry'
import { rangeOf, valueInScope } from '#core/style/cascade'
import { useSessionStore, useSession } from '../session/context'
import { allSelected, editAll, makeId } from '../session/store'

export type StyleAccess = {
  /** Where the block stands; of several, the one that was picked last. */
  place: Place
  /** All blocks that are set. */
  places: readonly Place[]
  scope: Scope
  range: number
  has: (name: PropertyName) => boolean
  /** The value that holds in the scope; of several blocks, the one that all of them have. */
  get: <N extends PropertyName>(name: N) => PropertyValue<N> | undefined
  /** True where several blocks differ in one of the values. */
  isMixed: (...names: readonly PropertyName[]) => boolean
  /** True if the scope itself sets the value, over the base. */
  isException: (name: PropertyName) => boolean
  base: <N extends PropertyName>(name: N) => PropertyValue<N> | undefined
  set: (values: { [N in PropertyName]?: StyleValues[N] | null }, gesture?: string) => void
}

/** The style of the selected blocks in the scope that is edited. Values are set for all of them, as one step. */
export function useStyle(places: readonly Place[]): StyleAccess {
  const store = useSessionStore()
  const scope = useSession((state) => state.scope)
  const breakpoints = useSession((state) => state.session.site.breakpoints)
  const onlyHere = useSession((state) => state.onlyHere)
  const direction = useSession((state) => currentOf(state.session.site))
  const range = rangeOf(breakpoints, scope)
  const styles = places.map(({ block }) => {
    const over = direction.restyled[block.id]
    return { kind: block.kind, id: block.id, over, style: over ? overlaid(block.style, over) : block.style }
  })
  const lead = styles.at(-1)!
  const valueOf = <N extends PropertyName>(style: Style, name: N) => valueInScope(style, name, breakpoints, scope)
  const differs = (name: PropertyName) => {
    const first = valueOf(lead.style, name)
    return styles.some((one) => appliesTo(name, one.kind) && !isSame(valueOf(one.style, name), first))
  }
  return {
    place: places.at(-1)!,
    places,
    scope,
    range,
    has: (name) => styles.every((one) => appliesTo(name, one.kind)) && (!isState(scope) || propertyOf(name).onHover === true),
    get: (name) => (differs(name) ? undefined : valueOf(lead.style, name)),
    isMixed: (...names) => styles.length > 1 && names.some(differs),
    isException: (name) => scope !== 'base' && styles.some((one) => valuesIn(one.style, scope)?.[name] !== undefined),
    base: (name) => lead.style.base?.[name] as never,
    set: (values, gesture) => {
      const edits = styles.flatMap(({ kind, id, over }): Edit[] => {
        const own = Object.fromEntries(Object.entries(values).filter(([name]) => appliesTo(name as PropertyName, kind)))
        if (Object.keys(own).length === 0) return []
        // What this direction has restyled already stays its own.
        const held = over && valuesIn(over, scope)
        const isHeld = held !== undefined && Object.keys(own).every((name) => name in held)
        const alone = onlyHere || isHeld ? { direction: direction.id } : {}
        return [{ kind: 'style', block: id, scope, values: own, ...alone }]
      })
      const [first] = edits
      if (first) editAll(store, editLabel(first), edits, gesture)
    },
  }
}

/** The selected blocks, the one picked last at the end. */
export function useSelected(): readonly Place[] {
  return useSession(allSelected)
}

/** A gesture for one stretch of changes in a field. */
export const newGesture = makeId
