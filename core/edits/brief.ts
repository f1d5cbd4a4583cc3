import { produce } from 'immer'
import { z } from 'zod'
import { pageBriefSchema, siteBriefSchema } from '#core/site/brief'
import { idSchema } from '#core/values/ids'
import { EditError, type EditKind } from './edit'

const schema = z.union([
  z.strictObject({ kind: z.literal('brief'), values: siteBriefSchema.partial() }),
  z.strictObject({ kind: z.literal('brief'), page: idSchema, values: pageBriefSchema.partial() }),
])
export type BriefEdit = z.infer<typeof schema>

/** Sets parts of the site's brief, or of one page's. */
export const briefEdit: EditKind<BriefEdit> = {
  kind: 'brief',
  schema,
  label: (edit) => `brief: ${Object.keys(edit.values).join(', ')}`,
  sets: (edit) => ({ of: 'page' in edit ? edit.page : '', names: Object.keys(edit.values) }),
  apply(site, edit) {
    const index = 'page' in edit ? site.pages.findIndex((one) => one.id === edit.page) : -1
    if ('page' in edit && index < 0) throw new EditError(`The page "${edit.page}" is no longer in this site.`)
    const brief = (index < 0 ? site.brief : site.pages[index]!.brief) as Record<string, unknown>
    const old = Object.fromEntries(Object.keys(edit.values).map((key) => [key, brief[key]]))
    const next = produce(site, (draft) => void Object.assign(index < 0 ? draft.brief : draft.pages[index]!.brief, edit.values))
    return { site: next, inverse: { ...edit, values: old } as BriefEdit }
  },
  sample: (site, choose) =>
    choose.number(2) === 0
      ? { kind: 'brief', values: choose.one([{ reasons: `Said ${choose.number(99)}` }, { tone: 'Dry.' }]) }
      : { kind: 'brief', page: choose.one(site.pages).id, values: { what: `A thing ${choose.number(99)}` } },
}
