import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import type { EditKind } from './edit'
import { pageAt } from './places'

const schema = z.strictObject({ kind: z.literal('page-move'), page: idSchema, index: z.int().min(0) })
export type PageMoveEdit = z.infer<typeof schema>

/** Gives a page another place in the order of the site, which navigation follows. */
export const pageMoveEdit: EditKind<PageMoveEdit> = {
  kind: 'page-move',
  schema,
  label: () => 'order of the pages',
  apply(site, edit) {
    const index = pageAt(site, edit.page)
    const next = produce(site, (draft) => {
      const [page] = draft.pages.splice(index, 1)
      draft.pages.splice(Math.min(edit.index, draft.pages.length), 0, page!)
    })
    return { site: next, inverse: { kind: 'page-move', page: edit.page, index } }
  },
  sample: (site, choose) => ({ kind: 'page-move', page: choose.one(site.pages).id, index: choose.number(4) }),
}
