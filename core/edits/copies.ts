import { z } from 'zod'
import { type Block, blockSchema } from '#core/blocks/index'
import { type SharedBlock, sharedSchema } from '#core/site/shared'
import type { Site } from '#core/site/schema'
import { copiesOf, independent } from '#core/shared/copies'
import { idSchema } from '#core/values/ids'
import { EditError, type EditKind } from './edit'
import { withBlocks } from './places'

const schema = z.strictObject({
  kind: z.literal('copies'),
  /** The shared block that this is about. */
  id: idSchema,
  /** What it becomes; `null` where it goes, and its copies with it become blocks of their own. Absent, it stays as it is. */
  shared: (sharedSchema as unknown as z.ZodType<SharedBlock>).nullable().optional(),
  /** Where a new one stands in the list; last, if it is not said. */
  at: z.int().min(0).optional(),
  /** Copies, or what is to be one, each in the place of the block with its id. */
  blocks: z.array(blockSchema).max(5000),
})
export type CopiesEdit = z.infer<typeof schema>

/** The list of shared blocks with one put in, replaced or taken out. */
function listed(site: Site, { id, shared, at }: CopiesEdit): SharedBlock[] {
  if (shared === undefined) return site.shared
  const others = site.shared.filter((one) => one.id !== id)
  if (shared === null) return others
  const index = site.shared.findIndex((one) => one.id === id)
  return index >= 0
    ? site.shared.map((one) => (one.id === id ? shared : one))
    : [...others.slice(0, at ?? others.length), shared, ...others.slice(at ?? others.length)]
}

/**
 * Sets a shared block with its copies as a whole: to share a block, to make copies independent, and to take such changes
 * back.
 */
export const copiesEdit: EditKind<CopiesEdit> = {
  kind: 'copies',
  schema,
  label: (edit) => (edit.shared === null ? 'make all independent' : edit.shared ? `share ${edit.shared.name}` : 'make independent'),
  apply(site, edit) {
    const at = site.shared.findIndex((one) => one.id === edit.id)
    const before = site.shared[at]
    if (edit.shared && edit.shared.id !== edit.id) throw new EditError('A shared block keeps its id.')
    if (edit.shared !== undefined && !edit.shared && !before) throw new EditError('The shared block is no longer in this site.')
    // Every copy is put back as it is now: what becomes of it follows from the shared block as well.
    const changed = new Map<string, Block>(edit.blocks.map((one) => [one.id, one]))
    const copies = edit.shared === undefined ? [] : copiesOf(site, edit.id).map(({ copy }) => copy)
    if (edit.shared === null) for (const copy of copies) if (!changed.has(copy.id)) changed.set(copy.id, independent(copy))
    const { site: next, old } = withBlocks({ ...site, shared: listed(site, edit) }, changed)
    const kept = new Map([...copies, ...old].map((one) => [one.id, one]))
    return {
      site: next,
      inverse: {
        kind: 'copies',
        id: edit.id,
        ...(edit.shared === undefined ? {} : { shared: before ?? null }),
        ...(before && edit.shared === null ? { at } : {}),
        blocks: [...kept.values()],
      },
    }
  },
  sample(site, choose) {
    if (site.shared.length === 0) return { kind: 'copies', id: choose.id(), shared: null, blocks: [] }
    const { id } = choose.one(site.shared)
    const copies = copiesOf(site, id)
    if (copies.length === 0 || choose.number(3) === 0) return { kind: 'copies', id, shared: null, blocks: [] }
    return { kind: 'copies', id, blocks: [independent(choose.one(copies).copy)] }
  },
}
