import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { aboutSchema } from '#core/site/about'
import { addressSchema } from '#core/site/address'
import { type Page, pageSchema } from '#core/site/schema'
import type { EditKind } from './edit'
import { pageAt } from './places'
import { checkAddress } from './structure'

const schema = z.strictObject({
  kind: z.literal('page-field'),
  page: idSchema,
  values: pageSchema
    .pick({ name: true, title: true, description: true })
    .extend({
      address: addressSchema,
      unlisted: z.boolean(),
      unsearched: z.boolean(),
      // Nothing said is `null`.
      share: idSchema.nullable(),
      about: aboutSchema.nullable(),
    })
    .partial(),
})
/** What a page need not say. */
const OPTIONAL = ['unlisted', 'unsearched', 'share', 'about'] as const

export type PageFieldEdit = z.infer<typeof schema>

/** Sets the name, title, description or address of a page, whether navigation and search list it, and what is said of it elsewhere. */
export const pageFieldEdit: EditKind<PageFieldEdit> = {
  kind: 'page-field',
  schema,
  label: (edit) => `page ${Object.keys(edit.values).join(', ')}`,
  sets: ({ page, values }) => ({ of: page, names: Object.keys(values) }),
  apply(site, edit) {
    const index = pageAt(site, edit.page)
    const page = site.pages[index]!
    if (edit.values.address !== undefined) checkAddress(site, edit.values.address, edit.page)
    const keys = Object.keys(edit.values) as (keyof Page)[]
    const nothing = (key: keyof Page) => (key === 'share' || key === 'about' ? null : false)
    const old = Object.fromEntries(keys.map((key) => [key, page[key] ?? nothing(key)]))
    const next = produce(site, (draft) => {
      Object.assign(draft.pages[index]!, edit.values)
      const changed = draft.pages[index]!
      for (const key of OPTIONAL) if (!changed[key]) delete changed[key]
    })
    return { site: next, inverse: { kind: 'page-field', page: edit.page, values: old } }
  },
  sample: (site, choose) => ({
    kind: 'page-field',
    page: choose.one(site.pages).id,
    values: choose.one([
      { name: `Page ${choose.number(99)}` },
      { address: `at-${choose.number(9)}` },
      { unlisted: true },
      { unsearched: true },
    ]),
  }),
}
