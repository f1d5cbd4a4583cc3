import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import type { DirectionAddEdit } from './direction-add'
import { EditError, type EditKind } from './edit'
import { directionAt } from './places'

const schema = z.strictObject({ kind: z.literal('direction-remove'), direction: idSchema })
export type DirectionRemoveEdit = z.infer<typeof schema>

/** Deletes a direction that is not current. */
export const directionRemoveEdit: EditKind<DirectionRemoveEdit, DirectionAddEdit> = {
  kind: 'direction-remove',
  schema,
  label: () => 'deletion of a direction',
  apply(site, edit) {
    const index = directionAt(site, edit.direction)
    const direction = site.directions[index]!
    const { guide } = direction
    if (!guide) throw new EditError(`“${direction.name}” is current. Make another direction current first.`)
    const next = produce(site, (draft) => void draft.directions.splice(index, 1))
    return { site: next, inverse: { kind: 'direction-add', index, direction: { ...direction, guide } } }
  },
  sample: (site, choose) => ({ kind: 'direction-remove', direction: choose.one(site.directions).id }),
}
