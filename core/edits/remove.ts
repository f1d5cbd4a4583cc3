import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/site/ids'
import type { Site } from '#core/site/schema'
import { childrenOf, type EditKind, holderOf, placeOf, positionOf } from './edit'
import type { Edit } from './index'

const schema = z.strictObject({ kind: z.literal('remove'), blocks: z.array(idSchema).min(1).max(400) })
export type RemoveEdit = z.infer<typeof schema>

function removeOne(site: Site, id: string): { site: Site; inverse: Edit } {
  const place = placeOf(site, id)
  const { parent, index } = positionOf(site, place)
  const holder = holderOf(site, parent)
  const next = produce(site, (draft) => void childrenOf(draft, site, holder).splice(index, 1))
  return { site: next, inverse: { kind: 'insert', parent, index, blocks: [place.block] } }
}

/** Takes blocks out with all that they hold. The inverse puts them back where they stood. */
export const removeEdit: EditKind<RemoveEdit, Edit> = {
  kind: 'remove',
  schema,
  label: () => 'delete',
  apply(site, edit) {
    const inverses: Edit[] = []
    let next = site
    for (const id of edit.blocks) {
      const step = removeOne(next, id)
      next = step.site
      inverses.unshift(step.inverse)
    }
    return {
      site: next,
      inverse: inverses.length === 1 ? inverses[0]! : { kind: 'batch', label: 'delete', edits: inverses },
    }
  },
}
