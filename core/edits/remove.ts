import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import type { Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { childrenOf, holderOf, placeOf, positionOf } from './places'
import { type EditKind } from './edit'
import { type Batch, batchOf } from './batch'
import type { InsertEdit } from './insert'
import type { ListEdit } from './list'
import { aBlock } from './samples'
import { takeBack, wordsToKeep } from './keep-words'

const schema = z.strictObject({
  kind: z.literal('remove'),
  blocks: z.array(idSchema).min(1).max(400),
  /** True where the blocks' words go with them, as when their insertion is taken back. */
  discard: z.literal(true).optional(),
})
export type RemoveEdit = z.infer<typeof schema>

type Back = InsertEdit | Batch<InsertEdit | ListEdit>

function removeOne(site: Site, id: string, discard: boolean): { site: Site; inverse: Back } {
  const place = placeOf(site, id)
  const { parent, index } = positionOf(site, place)
  const holder = holderOf(site, parent)
  const section = (place.ancestors[0] ?? place.block) as Section
  const kept = discard ? [] : wordsToKeep(site, site.pages[place.page]!, section, place.block)
  const next = produce(site, (draft) => {
    childrenOf(draft, site, holder).splice(index, 1)
    draft.unplaced.push(...kept)
  })
  const back: InsertEdit = { kind: 'insert', parent, index, blocks: [place.block] }
  return { site: next, inverse: kept.length === 0 ? back : takeBack('delete', [back], kept) }
}

/**
 * Takes blocks out with all that they hold. Their words are kept among the unplaced ones. The inverse puts them back
 * where they stood.
 */
export const removeEdit: EditKind<RemoveEdit, Back | Batch<Back>> = {
  kind: 'remove',
  schema,
  label: () => 'delete',
  apply(site, edit) {
    const inverses: Back[] = []
    let next = site
    for (const id of edit.blocks) {
      const step = removeOne(next, id, edit.discard ?? false)
      next = step.site
      inverses.unshift(step.inverse)
    }
    return {
      site: next,
      inverse: batchOf('delete', inverses),
    }
  },
  sample: (site, choose) => ({
    kind: 'remove',
    blocks: [aBlock(site, choose)],
    ...(choose.number(4) === 0 ? { discard: true } : {}),
  }),
}
