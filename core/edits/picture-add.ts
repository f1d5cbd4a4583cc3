import { produce } from 'immer'
import { z } from 'zod'
import { pictureSchema } from '#core/picture/picture'
import type { EditKind } from './edit'
import type { PictureRemoveEdit } from './picture-remove'

const schema = z.strictObject({
  kind: z.literal('picture-add'),
  picture: pictureSchema,
  /** Index among the site's pictures; last, if it is not said. */
  at: z.int().min(0).optional(),
})
export type PictureAddEdit = z.infer<typeof schema>

/** Puts a picture among the site's. */
export const pictureAddEdit: EditKind<PictureAddEdit, PictureRemoveEdit> = {
  kind: 'picture-add',
  schema,
  label: (edit) => `add ${edit.picture.name}`,
  apply(site, edit) {
    const next = produce(site, (draft) => void draft.pictures.splice(edit.at ?? draft.pictures.length, 0, edit.picture))
    return { site: next, inverse: { kind: 'picture-remove', picture: edit.picture.id } }
  },
  sample: (_, choose) => ({
    kind: 'picture-add',
    picture: { id: choose.id(), name: 'new.png', hash: 'a'.repeat(64), type: 'image/png', width: 40, height: 30 },
  }),
}
