import { z } from 'zod'
import { type Guise, guiseSchema, MOST_GUISES } from '#core/site/shared'
import { copiesOf, sharedOf } from '#core/shared/copies'
import { withShared } from '#core/shared/synced'
import { idSchema } from '#core/values/ids'
import type { Batch } from './batch'
import { EditError, type EditKind } from './edit'
import type { GuiseEdit } from './guise'

const schema = z.strictObject({
  kind: z.literal('guises'),
  shared: idSchema,
  guises: z.array(guiseSchema as unknown as z.ZodType<Guise>).max(MOST_GUISES),
})
export type GuisesEdit = z.infer<typeof schema>

/** Sets the guises of a shared block. Copies in one that goes wear none. */
export const guisesEdit: EditKind<GuisesEdit, GuisesEdit | Batch<GuisesEdit | GuiseEdit>> = {
  kind: 'guises',
  schema,
  label: () => 'guises',
  apply(site, edit) {
    const shared = sharedOf(site, edit.shared)
    if (!shared) throw new EditError('The shared block is no longer in this site.')
    const ids = edit.guises.map((one) => one.id)
    if (new Set(ids).size < ids.length) throw new EditError('Two guises have one id.')
    const undressed = copiesOf(site, shared.id).filter(
      ({ copy }) => copy.copyOf.guise !== undefined && !ids.includes(copy.copyOf.guise),
    )
    const back: GuisesEdit = { kind: 'guises', shared: shared.id, guises: shared.guises }
    const wear = undressed.map(({ copy }): GuiseEdit => ({ kind: 'guise', block: copy.id, guise: copy.copyOf.guise! }))
    return {
      site: withShared(site, shared, { ...shared, guises: edit.guises }),
      inverse: wear.length === 0 ? back : { kind: 'batch', label: 'guises', edits: [back, ...wear] },
    }
  },
  sample(site, choose) {
    if (site.shared.length === 0) return { kind: 'guises', shared: 'none', guises: [] }
    const shared = choose.one(site.shared)
    const guise: Guise = { id: choose.id(), name: 'Other', parts: { [shared.block.id]: { style: { base: { opacity: 0.5 } } } } }
    return { kind: 'guises', shared: shared.id, guises: choose.number(3) === 0 ? [] : [...shared.guises.slice(0, 4), guise] }
  },
}
