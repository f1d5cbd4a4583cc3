import type { Block } from '#core/blocks/index'
import type { Edit } from '#core/edits/index'
import type { Place } from '#core/site/tree'
import { isSame } from '#core/values/equal'
import { useSessionStore } from '../session/context'
import { editAll } from '../session/store'

type FieldEdit = Extract<Edit, { kind: 'field' }>

/** One field of the selected blocks, of those that have it. */
export type FieldAccess = {
  /** What all of them have; `undefined` where they differ, or have none. */
  value: unknown
  isMixed: boolean
  /** Sets it for all of them, as one step; `null` takes it away. */
  set: (value: FieldEdit['value']) => void
}

/**
 * A field of the selected blocks.
 * @param of which of them have it
 */
export function useField(places: readonly Place[], field: FieldEdit['field'], of: (block: Block) => boolean): FieldAccess {
  const store = useSessionStore()
  const blocks = places.map((one) => one.block).filter(of)
  const values = blocks.map((one) => (one as unknown as Record<string, unknown>)[field])
  const isMixed = values.some((one) => !isSame(one, values[0]))
  return {
    value: isMixed ? undefined : values[0],
    isMixed,
    set: (value) =>
      void editAll(
        store,
        field,
        blocks.map((one): Edit => ({ kind: 'field', block: one.id, field, value })),
      ),
  }
}
