import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { blockSchema } from '#core/blocks/index'
import { childrenOf, type EditKind, holderOf } from './edit'
import type { Edit } from './index'
import { checkHolds, checkNew } from './structure'

const schema = z.strictObject({
  kind: z.literal('insert'),
  /** A page, for sections, or the block that is to hold them. */
  parent: idSchema,
  index: z.int().min(0),
  blocks: z.array(blockSchema).min(1).max(400),
})
export type InsertEdit = z.infer<typeof schema>

/** Puts new blocks in; an index past the end puts them last. */
export const insertEdit: EditKind<InsertEdit, Edit> = {
  kind: 'insert',
  schema,
  label: (edit) => `add ${edit.blocks[0]!.name ?? edit.blocks[0]!.kind}`,
  apply(site, edit) {
    const holder = holderOf(site, edit.parent)
    checkHolds(holder, edit.blocks)
    checkNew(site, edit.blocks)
    const next = produce(site, (draft) => {
      const children = childrenOf(draft, site, holder)
      children.splice(Math.min(edit.index, children.length), 0, ...edit.blocks)
    })
    return { site: next, inverse: { kind: 'remove', blocks: edit.blocks.map((block) => block.id), discard: true } }
  },
}
