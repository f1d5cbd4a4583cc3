import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { EditError, type EditKind } from './edit'
import type { PictureAddEdit } from './picture-add'

const schema = z.strictObject({ kind: z.literal('picture-remove'), picture: idSchema })
export type PictureRemoveEdit = z.infer<typeof schema>

/** Takes a picture out of the site's. */
export const pictureRemoveEdit: EditKind<PictureRemoveEdit, PictureAddEdit> = {
  kind: 'picture-remove',
  schema,
  label: () => 'remove picture',
  apply(site, edit) {
    const at = site.pictures.findIndex((one) => one.id === edit.picture)
    const picture = site.pictures[at]
    if (!picture) throw new EditError(`The picture "${edit.picture}" is no longer in this site.`)
    const next = produce(site, (draft) => {
      draft.pictures = draft.pictures.filter((one) => one.id !== edit.picture)
    })
    return { site: next, inverse: { kind: 'picture-add', picture, at } }
  },
  sample: (site, choose) => ({
    kind: 'picture-remove',
    picture: site.pictures.length > 0 ? choose.one(site.pictures).id : 'none',
  }),
}
