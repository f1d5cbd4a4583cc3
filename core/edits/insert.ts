import { produce } from 'immer'
import { z } from 'zod'
import { newSection } from '#core/blocks/defaults'
import { idSchema } from '#core/values/ids'
import { blockSchema } from '#core/blocks/index'
import { childrenOf, holderOf } from './places'
import { type EditKind } from './edit'
import type { RemoveEdit } from './remove'
import { containersOn, sampleBlock } from './samples'
import { checkHolds } from './structure'

const schema = z.strictObject({
  kind: z.literal('insert'),
  /** A page, for sections, or the block that is to hold them. */
  parent: idSchema,
  index: z.int().min(0),
  blocks: z.array(blockSchema).min(1).max(400),
})
export type InsertEdit = z.infer<typeof schema>

/** Puts new blocks in; an index past the end puts them last. */
export const insertEdit: EditKind<InsertEdit, RemoveEdit> = {
  kind: 'insert',
  schema,
  label: (edit) => `add ${edit.blocks[0]!.name ?? edit.blocks[0]!.kind}`,
  apply(site, edit) {
    const holder = holderOf(site, edit.parent)
    checkHolds(holder, edit.blocks)
    const next = produce(site, (draft) => {
      const children = childrenOf(draft, site, holder)
      children.splice(Math.min(edit.index, children.length), 0, ...edit.blocks)
    })
    return { site: next, inverse: { kind: 'remove', blocks: edit.blocks.map((block) => block.id), discard: true } }
  },
  sample(site, choose) {
    const page = choose.one(site.pages)
    if (choose.number(3) === 0)
      return { kind: 'insert', parent: page.id, index: choose.number(6), blocks: [newSection('story', choose.id)] }
    const parent = choose.one([page.id, ...containersOn(site).map((one) => one.id)])
    return { kind: 'insert', parent, index: choose.number(6), blocks: [sampleBlock(choose)] }
  },
}
