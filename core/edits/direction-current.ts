import { produce } from 'immer'
import { z } from 'zod'
import { currentOf } from '#core/site/directions'
import { idSchema } from '#core/values/ids'
import type { EditKind } from './edit'
import { directionAt } from './places'

const schema = z.strictObject({ kind: z.literal('direction-current'), direction: idSchema })
export type DirectionCurrentEdit = z.infer<typeof schema>

/** Makes a direction the one that pages are shown and exported in. */
export const directionCurrentEdit: EditKind<DirectionCurrentEdit> = {
  kind: 'direction-current',
  schema,
  label: () => 'current direction',
  apply(site, edit) {
    const index = directionAt(site, edit.direction)
    const before = currentOf(site)
    const next = produce(site, (draft) => {
      const chosen = draft.directions[index]!
      if (!chosen.guide) return
      const { guide } = draft
      draft.guide = chosen.guide
      delete chosen.guide
      draft.directions.find((one) => one.id === before.id)!.guide = guide
    })
    return { site: next, inverse: { kind: 'direction-current', direction: before.id } }
  },
  sample: (site, choose) => ({ kind: 'direction-current', direction: choose.one(site.directions).id }),
}
