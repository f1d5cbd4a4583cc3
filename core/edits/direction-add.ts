import { produce } from 'immer'
import { z } from 'zod'
import { directionSchema } from '#core/site/directions'
import type { DirectionRemoveEdit } from './direction-remove'
import { EditError, type EditKind } from './edit'

const schema = z.strictObject({
  kind: z.literal('direction-add'),
  index: z.int().min(0),
  direction: directionSchema.required({ guide: true }),
})
export type DirectionAddEdit = z.infer<typeof schema>

/** Puts a direction beside the others. */
export const directionAddEdit: EditKind<DirectionAddEdit, DirectionRemoveEdit> = {
  kind: 'direction-add',
  schema,
  label: (edit) => `add of ${edit.direction.name}`,
  apply(site, edit) {
    const { direction, index } = edit
    if (site.directions.some((one) => one.id === direction.id))
      throw new EditError(`There is already a direction "${direction.id}".`)
    if (site.directions.length >= 24) throw new EditError('A site has at most 24 directions. Delete one first.')
    const next = produce(
      site,
      (draft) => void draft.directions.splice(Math.min(index, draft.directions.length), 0, direction as never),
    )
    return { site: next, inverse: { kind: 'direction-remove', direction: direction.id } }
  },
  sample: (site, choose) => ({
    kind: 'direction-add',
    index: choose.number(4),
    direction: { id: choose.id(), name: `Try ${choose.number(99)}`, note: '', mood: [], guide: site.guide, restyled: {} },
  }),
}
