import { produce } from 'immer'
import { z } from 'zod'
import { newPage } from '#core/site/defaults'
import { pageSchema } from '#core/site/schema'
import type { EditKind } from './edit'
import type { PageRemoveEdit } from './page-remove'
import { checkAddress } from './structure'

const schema = z.strictObject({ kind: z.literal('page-add'), index: z.int().min(0), page: pageSchema })
export type PageAddEdit = z.infer<typeof schema>

/** Puts a page in, at an index. */
export const pageAddEdit: EditKind<PageAddEdit, PageRemoveEdit> = {
  kind: 'page-add',
  schema,
  label: (edit) => `add page ${edit.page.name}`,
  apply(site, edit) {
    checkAddress(site, edit.page.address)
    const next = produce(site, (draft) => void draft.pages.splice(edit.index, 0, edit.page))
    return { site: next, inverse: { kind: 'page-remove', page: edit.page.id, discard: true } }
  },
  sample: (_, choose) => ({
    kind: 'page-add',
    index: choose.number(3),
    page: newPage(choose.id, `Page ${choose.number(9)}`, `page-${choose.number(9)}`),
  }),
}
