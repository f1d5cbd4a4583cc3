import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import type { Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { childrenOf, type EditKind, holderOf, placeOf, positionOf } from './edit'
import type { Edit } from './index'
import { takeBack, wordsToKeep } from './keep-words'

const schema = z.strictObject({
  kind: z.literal('remove'),
  blocks: z.array(idSchema).min(1).max(400),
  /** True where the blocks' words go with them, as when their insertion is taken back. */
  discard: z.literal(true).optional(),
})
export type RemoveEdit = z.infer<typeof schema>

function removeOne(site: Site, id: string, discard: boolean): { site: Site; inverse: Edit } {
  const place = placeOf(site, id)
  const { parent, index } = positionOf(site, place)
  const holder = holderOf(site, parent)
  const section = (place.ancestors[0] ?? place.block) as Section
  const kept = discard ? [] : wordsToKeep(site, site.pages[place.page]!, section, place.block)
  const next = produce(site, (draft) => {
    childrenOf(draft, site, holder).splice(index, 1)
    draft.unplaced.push(...kept)
  })
  const back: Edit = { kind: 'insert', parent, index, blocks: [place.block] }
  return { site: next, inverse: kept.length === 0 ? back : takeBack('delete', [back], kept) }
}

/**
 * Takes blocks out with all that they hold. Their words are kept among the unplaced ones. The inverse puts them back
 * where they stood.
 */
export const removeEdit: EditKind<RemoveEdit, Edit> = {
  kind: 'remove',
  schema,
  label: () => 'delete',
  apply(site, edit) {
    const inverses: Edit[] = []
    let next = site
    for (const id of edit.blocks) {
      const step = removeOne(next, id, edit.discard ?? false)
      next = step.site
      inverses.unshift(step.inverse)
    }
    return {
      site: next,
      inverse: inverses.length === 1 ? inverses[0]! : { kind: 'batch', label: 'delete', edits: inverses },
    }
  },
}
