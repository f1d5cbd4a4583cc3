import { walk } from '#core/blocks/tree'
import type { Edit } from '#core/edits/index'
import { positionOf } from '#core/edits/places'
import type { Inner } from '#core/edits/shared'
import type { SharedBlock } from '#core/site/shared'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import type { Copy } from '#core/shared/copies'
import { replacedBy } from '#core/shared/make'
import type { OwnValue } from '#core/shared/own'
import type { MakeId } from '#core/values/ids'

/** No words in any language of some. */
const none = (words: object): Record<string, never[]> => Object.fromEntries(Object.keys(words).map((one) => [one, []]))

/** Puts copies of another shared block in the place of some; words that find no place there are kept unplaced. */
export function replaceEdits(site: Site, copies: readonly Copy[], shared: SharedBlock, makeId: MakeId): Edit[] {
  return copies.flatMap((copy): Edit[] => {
    const place = findBlock(site, copy.id)
    if (!place) return []
    const made = replacedBy(copy, shared, makeId)
    const left = new Set(made.left.map((one) => one.id))
    // Words that stand in the new copy are taken out of the old one first, so that only the rest are kept when it goes.
    const emptied = [...walk(copy)].flatMap((block): Edit[] =>
      left.size > 0 && 'words' in block && !left.has(block.id)
        ? [{ kind: 'words', block: block.id, words: none(block.words) }]
        : [],
    )
    return [
      ...emptied,
      { kind: 'remove', blocks: [copy.id], ...(left.size === 0 ? { discard: true } : {}) },
      { kind: 'insert', ...positionOf(site, place), blocks: [made.copy] },
    ]
  })
}

/**
 * Gives to all copies what one of them has of its own, or takes it away from that one in favour of what all have.
 * @param values of the copy
 */
export function ownEdits(copy: Copy, values: readonly OwnValue[], to: 'all' | 'shared'): Edit[] {
  return values.map(({ block, part, field, own, shared }): Edit => {
    const [value, other] = to === 'all' ? [own, shared] : [shared, own]
    const id = to === 'all' ? part : block.id
    const inner: Inner =
      field === 'words'
        ? { kind: 'words', block: id, words: { ...none((other ?? {}) as object), ...(value as object) } }
        : { kind: 'field', block: id, field, value: (value ?? null) as never }
    return to === 'all' ? { kind: 'shared', shared: copy.copyOf.shared, edit: inner } : inner
  })
}
