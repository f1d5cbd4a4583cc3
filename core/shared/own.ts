import type { Block } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import type { SharedBlock } from '#core/site/shared'
import { isSame } from '#core/values/equal'
import { type Copy, partOf, partWith } from './copies'
import { OWN_FIELDS, type OwnField } from './synced'

/** A field that a block of a copy has of its own, and what all other copies have there. */
export type OwnValue = { block: Block; part: string; field: OwnField; own: unknown; shared: unknown }

/** What a copy, or a block in it with all that it holds, has of its own: words, pictures and links. */
export function ownValues(shared: SharedBlock, copy: Copy, within: Block = copy): OwnValue[] {
  return [...walk(within)].flatMap((block): OwnValue[] => {
    const part = partWith(shared, block === copy ? shared.block.id : partOf(shared, block))
    if (!part) return []
    const [mine, others] = [block, part] as unknown as Record<string, unknown>[]
    return OWN_FIELDS.filter((field) => !isSame(mine![field], others![field])).map((field) => ({
      block,
      part: part.id,
      field,
      own: mine![field],
      shared: others![field],
    }))
  })
}
