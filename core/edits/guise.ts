import { produce } from 'immer'
import { z } from 'zod'
import { copiesOf, type Copy, guiseOf, sharedOf } from '#core/shared/copies'
import { withShared } from '#core/shared/synced'
import { idSchema } from '#core/values/ids'
import { EditError, type EditKind } from './edit'
import { draftAt, placeOf } from './places'

const schema = z.strictObject({
  kind: z.literal('guise'),
  /** A copy of a shared block. */
  block: idSchema,
  /** A guise of that block, or `null` for none. */
  guise: idSchema.nullable(),
})
export type GuiseEdit = z.infer<typeof schema>

/** Gives a copy one of the guises of its shared block. */
export const guiseEdit: EditKind<GuiseEdit> = {
  kind: 'guise',
  schema,
  label: () => 'guise',
  sets: ({ block }) => ({ of: block, names: [] }),
  apply(site, edit) {
    const place = placeOf(site, edit.block)
    const { copyOf } = place.block
    const shared = copyOf && sharedOf(site, copyOf.shared)
    if (!shared) throw new EditError('Only a copy of a shared block wears a guise.')
    if (edit.guise !== null && !guiseOf(shared, edit.guise)) throw new EditError(`“${shared.name}” has no such guise any more.`)
    const dressed = produce(site, (draft) => {
      const copy = draftAt(draft, place) as Copy
      if (edit.guise === null) delete copy.copyOf.guise
      else copy.copyOf.guise = edit.guise
    })
    return {
      site: withShared(dressed, shared, shared),
      inverse: { kind: 'guise', block: edit.block, guise: copyOf.guise ?? null },
    }
  },
  sample(site, choose) {
    const shared = site.shared.filter((one) => copiesOf(site, one.id).length > 0)
    if (shared.length === 0) return { kind: 'guise', block: 'none', guise: null }
    const one = choose.one(shared)
    const guise = one.guises.length > 0 && choose.number(3) > 0 ? choose.one(one.guises).id : null
    return { kind: 'guise', block: choose.one(copiesOf(site, one.id)).copy.id, guise }
  },
}
