import { produce } from 'immer'
import { z } from 'zod'
import { directionSchema } from '#core/site/directions'
import { idSchema } from '#core/values/ids'
import type { EditKind } from './edit'
import { directionAt } from './places'

const schema = z.strictObject({
  kind: z.literal('direction-field'),
  direction: idSchema,
  values: directionSchema.pick({ name: true, note: true, mood: true }).partial(),
})
export type DirectionFieldEdit = z.infer<typeof schema>

/** Sets the name, note or mood pictures of a direction. */
export const directionFieldEdit: EditKind<DirectionFieldEdit> = {
  kind: 'direction-field',
  schema,
  label: (edit) => `${Object.keys(edit.values).join(', ')} of a direction`,
  sets: ({ direction, values }) => ({ of: direction, names: Object.keys(values) }),
  apply(site, edit) {
    const index = directionAt(site, edit.direction)
    const before = site.directions[index] as unknown as Record<string, unknown>
    const old = Object.fromEntries(Object.keys(edit.values).map((key) => [key, before[key]]))
    const next = produce(site, (draft) => void Object.assign(draft.directions[index]!, edit.values))
    return { site: next, inverse: { ...edit, values: old } as DirectionFieldEdit }
  },
  sample: (site, choose) => ({
    kind: 'direction-field',
    direction: choose.one(site.directions).id,
    values: choose.one([{ name: `Try ${choose.number(99)}` }, { note: 'Warmer.' }]),
  }),
}
