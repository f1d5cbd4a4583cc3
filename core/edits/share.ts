import { z } from 'zod'
import { hasTrait } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { copyAround, derivedId } from '#core/shared/copies'
import { asFirstCopy, asParts } from '#core/shared/make'
import { idSchema } from '#core/values/ids'
import { type CopiesEdit, copiesEdit } from './copies'
import { EditError, type EditKind } from './edit'
import { placeOf } from './places'
import { aBlock } from './samples'

const schema = z.strictObject({
  kind: z.literal('share'),
  block: idSchema,
  /** The id of the new shared block; those of its parts follow from it. */
  shared: idSchema,
  name: z.string().trim().min(1).max(80),
})
export type ShareEdit = z.infer<typeof schema>

/** Makes a shared block of a block, which becomes its first copy. */
export const shareEdit: EditKind<ShareEdit, CopiesEdit> = {
  kind: 'share',
  schema,
  label: (edit) => `share ${edit.name}`,
  apply(site, edit) {
    const place = placeOf(site, edit.block)
    const { block } = place
    if (copyAround(place)) throw new EditError('This stands in a shared block already. Make that copy independent first.')
    if ([...walk(block)].some((one) => one.copyOf))
      throw new EditError(
        'This holds copies of shared blocks, and a shared block cannot stand in another. Make them independent first.',
      )
    if (block.kind !== 'section' && !hasTrait(block.kind, 'flow'))
      throw new EditError(`A ${block.kind} is shared with what holds it.`)
    if (site.shared.some((one) => one.id === edit.shared)) throw new EditError('This shared block is there already.')
    const shared = { id: edit.shared, name: edit.name, block: asParts(block, edit.shared), guises: [] }
    const copy = { ...asFirstCopy(block, edit.shared), name: edit.name }
    return copiesEdit.apply(site, { kind: 'copies', id: edit.shared, shared, blocks: [copy] })
  },
  sample: (site, choose) => {
    const shared = choose.id()
    return { kind: 'share', block: aBlock(site, choose), shared, name: `Shared ${derivedId(shared)}` }
  },
}
