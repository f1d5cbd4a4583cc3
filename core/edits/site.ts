import { produce } from 'immer'
import { z } from 'zod'
import { breakpointsSchema } from '#core/grid/breakpoint'
import { launchSchema } from '#core/site/launch'
import { type Site, siteSchema } from '#core/site/schema'
import { travelSchema } from '#core/site/travel'
import type { EditKind } from './edit'

const change = <F extends keyof Site, S extends z.ZodType<Site[F]>>(field: F, value: S) =>
  z.strictObject({ kind: z.literal('site'), field: z.literal(field), value })

const fields = (siteSchema as unknown as z.ZodObject<{ name: z.ZodType<string>; views: z.ZodType<number[]> }>).shape

const schema = z.discriminatedUnion('field', [
  change('name', fields.name),
  change('views', fields.views),
  change('breakpoints', breakpointsSchema),
  // Nothing said is `{}`.
  change('travel', travelSchema),
  change('launch', launchSchema),
])
export type SiteEdit = z.infer<typeof schema>

/** Sets one of the values that belong to the whole site. Exceptions of a removed breakpoint stay, for its return. */
export const siteEdit: EditKind<SiteEdit> = {
  kind: 'site',
  schema,
  label: (edit) => edit.field,
  sets: ({ field }) => ({ of: field, names: [] }),
  apply(site, edit) {
    const next = produce(site, (draft) => {
      const isNothing = (edit.field === 'travel' || edit.field === 'launch') && Object.keys(edit.value).length === 0
      if (isNothing) delete draft[edit.field as 'travel' | 'launch']
      else Object.assign(draft, { [edit.field]: edit.value })
    })
    return { site: next, inverse: { kind: 'site', field: edit.field, value: site[edit.field] ?? {} } as SiteEdit }
  },
  sample: (_, choose) =>
    choose.number(2) === 0
      ? { kind: 'site', field: 'views', value: [320 + choose.number(900), 300 + choose.number(900)] }
      : { kind: 'site', field: 'name', value: `Site ${choose.number(99)}` },
}
