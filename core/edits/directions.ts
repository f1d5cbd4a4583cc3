import { produce } from 'immer'
import { z } from 'zod'
import { currentOf, directionSchema } from '#core/site/directions'
import { idSchema } from '#core/values/ids'
import type { Site } from '#core/site/schema'
import { EditError, type EditKind } from './edit'
import type { Edit } from './index'

const indexOf = (site: Site, id: string): number => {
  const index = site.directions.findIndex((one) => one.id === id)
  if (index < 0) throw new EditError(`The direction "${id}" is no longer in this site.`)
  return index
}

const addSchema = z.strictObject({
  kind: z.literal('direction-add'),
  index: z.int().min(0),
  direction: directionSchema.required({ guide: true }),
})
export type DirectionAddEdit = z.infer<typeof addSchema>

/** Puts a direction beside the others. */
export const directionAddEdit: EditKind<DirectionAddEdit, Edit> = {
  kind: 'direction-add',
  schema: addSchema,
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
}

const removeSchema = z.strictObject({ kind: z.literal('direction-remove'), direction: idSchema })
export type DirectionRemoveEdit = z.infer<typeof removeSchema>

/** Deletes a direction that is not current. */
export const directionRemoveEdit: EditKind<DirectionRemoveEdit, Edit> = {
  kind: 'direction-remove',
  schema: removeSchema,
  label: () => 'deletion of a direction',
  apply(site, edit) {
    const index = indexOf(site, edit.direction)
    const direction = site.directions[index]!
    const { guide } = direction
    if (!guide) throw new EditError(`“${direction.name}” is current. Make another direction current first.`)
    const next = produce(site, (draft) => void draft.directions.splice(index, 1))
    return { site: next, inverse: { kind: 'direction-add', index, direction: { ...direction, guide } } }
  },
}

const fieldSchema = z.strictObject({
  kind: z.literal('direction-field'),
  direction: idSchema,
  values: directionSchema.pick({ name: true, note: true, mood: true }).partial(),
})
export type DirectionFieldEdit = z.infer<typeof fieldSchema>

/** Sets the name, note or mood pictures of a direction. */
export const directionFieldEdit: EditKind<DirectionFieldEdit, Edit> = {
  kind: 'direction-field',
  schema: fieldSchema,
  label: (edit) => `${Object.keys(edit.values).join(', ')} of a direction`,
  apply(site, edit) {
    const index = indexOf(site, edit.direction)
    const before = site.directions[index] as unknown as Record<string, unknown>
    const old = Object.fromEntries(Object.keys(edit.values).map((key) => [key, before[key]]))
    const next = produce(site, (draft) => void Object.assign(draft.directions[index]!, edit.values))
    return { site: next, inverse: { ...edit, values: old } as DirectionFieldEdit }
  },
}

const currentSchema = z.strictObject({ kind: z.literal('direction-current'), direction: idSchema })
export type DirectionCurrentEdit = z.infer<typeof currentSchema>

/** Makes a direction the one that pages are shown and exported in. */
export const directionCurrentEdit: EditKind<DirectionCurrentEdit, Edit> = {
  kind: 'direction-current',
  schema: currentSchema,
  label: () => 'current direction',
  apply(site, edit) {
    const index = indexOf(site, edit.direction)
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
}
