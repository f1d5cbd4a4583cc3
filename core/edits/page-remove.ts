import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import type { Batch } from './batch'
import { EditError, type EditKind } from './edit'
import { takeBack, wordsToKeep } from './keep-words'
import type { ListEdit } from './list'
import type { PageAddEdit } from './page-add'
import { pageAt } from './places'

const schema = z.strictObject({ kind: z.literal('page-remove'), page: idSchema, discard: z.literal(true).optional() })
export type PageRemoveEdit = z.infer<typeof schema>

/** Takes a page out. Its words are kept among the unplaced ones. */
export const pageRemoveEdit: EditKind<PageRemoveEdit, PageAddEdit | Batch<PageAddEdit | ListEdit>> = {
  kind: 'page-remove',
  schema,
  label: () => 'delete page',
  apply(site, edit) {
    const index = pageAt(site, edit.page)
    if (site.pages.length === 1) throw new EditError('A site keeps at least one page.')
    const page = site.pages[index]!
    const kept = edit.discard ? [] : page.sections.flatMap((section) => wordsToKeep(site, page, section, section))
    const next = produce(site, (draft) => {
      draft.pages.splice(index, 1)
      draft.unplaced.push(...kept)
    })
    const back: PageAddEdit = { kind: 'page-add', index, page }
    return { site: next, inverse: kept.length === 0 ? back : takeBack('delete page', [back], kept) }
  },
  sample: (site, choose) => ({ kind: 'page-remove', page: choose.one(site.pages).id }),
}
