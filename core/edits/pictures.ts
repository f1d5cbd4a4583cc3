import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { pictureSchema } from '#core/picture/picture'
import { EditError, type EditKind } from './edit'
import type { Edit } from './index'

const addSchema = z.strictObject({ kind: z.literal('picture-add'), picture: pictureSchema })
export type PictureAddEdit = z.infer<typeof addSchema>

export const pictureAddEdit: EditKind<PictureAddEdit, Edit> = {
  kind: 'picture-add',
  schema: addSchema,
  label: (edit) => `add ${edit.picture.name}`,
  apply(site, edit) {
    if (site.pictures.some((one) => one.id === edit.picture.id)) throw new EditError(`The id "${edit.picture.id}" is taken.`)
    const next = produce(site, (draft) => void draft.pictures.push(edit.picture))
    return { site: next, inverse: { kind: 'picture-remove', picture: edit.picture.id } }
  },
}

const removeSchema = z.strictObject({ kind: z.literal('picture-remove'), picture: idSchema })
export type PictureRemoveEdit = z.infer<typeof removeSchema>

export const pictureRemoveEdit: EditKind<PictureRemoveEdit, Edit> = {
  kind: 'picture-remove',
  schema: removeSchema,
  label: () => 'remove picture',
  apply(site, edit) {
    const picture = site.pictures.find((one) => one.id === edit.picture)
    if (!picture) throw new EditError(`The picture "${edit.picture}" is no longer in this site.`)
    const next = produce(site, (draft) => {
      draft.pictures = draft.pictures.filter((one) => one.id !== edit.picture)
    })
    return { site: next, inverse: { kind: 'picture-add', picture } }
  },
}
