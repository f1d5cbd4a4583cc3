import { produce } from 'immer'
import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { walk } from '#core/blocks/tree'
import { childrenOf, holderOf, placeOf, positionOf } from './places'
import { EditError, type EditKind } from './edit'
import { aBlock, containersOn } from './samples'
import { checkHolds } from './structure'

const schema = z.strictObject({
  kind: z.literal('move'),
  block: idSchema,
  parent: idSchema,
  /** Index in the parent once the block has been taken out of its old place. */
  index: z.int().min(0),
})
export type MoveEdit = z.infer<typeof schema>

/** Gives a block, with all that it holds, another place. */
export const moveEdit: EditKind<MoveEdit> = {
  kind: 'move',
  schema,
  label: () => 'move',
  apply(site, edit) {
    const place = placeOf(site, edit.block)
    for (const inside of walk(place.block)) {
      if (inside.id === edit.parent) throw new EditError('A block cannot be moved into itself.')
    }
    const from = positionOf(site, place)
    const source = holderOf(site, from.parent)
    const target = holderOf(site, edit.parent)
    checkHolds(target, [place.block])
    const next = produce(site, (draft) => {
      const goal = childrenOf(draft, site, target)
      const [block] = childrenOf(draft, site, source).splice(from.index, 1)
      goal.splice(Math.min(edit.index, goal.length), 0, block!)
    })
    return { site: next, inverse: { kind: 'move', block: edit.block, ...from } }
  },
  sample: (site, choose) => ({
    kind: 'move',
    block: aBlock(site, choose),
    parent: choose.one([choose.one(site.pages).id, ...containersOn(site).map((one) => one.id)]),
    index: choose.number(6),
  }),
}
