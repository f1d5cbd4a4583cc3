import type { Block } from '#core/blocks/index'
import { hasWords, isContainer, walk } from '#core/blocks/tree'
import type { SharedBlock } from '#core/site/shared'
import type { MakeId } from '#core/values/ids'
import { plainText } from '#core/values/words'
import { type Copy, derivedId, guiseOf, independent } from './copies'
import { inGuise, OWN_FIELDS } from './synced'

/** A block tree whose ids are those of parts of a shared block. */
export function asParts(block: Block, shared: string): Block {
  const part = { ...independent(block), id: derivedId(shared, block.id) }
  if (isContainer(part)) part.children = part.children.map((child) => asParts(child, shared))
  return part
}

/** A block that has become the first copy of the shared block made from it. */
export function asFirstCopy(block: Block, shared: string): Copy {
  const named = (one: Block): Block => {
    const copy = { ...one, sharedPart: derivedId(shared, one.id) } as Block
    if (isContainer(copy)) copy.children = copy.children.map(named)
    return copy
  }
  const { sharedPart: _, ...copy } = named(block)
  return { ...copy, copyOf: { shared } } as Copy
}

/** A new copy of a shared block, in one of its guises or none. */
export function newCopy(shared: SharedBlock, makeId: MakeId, guise?: string): Copy {
  const worn = guiseOf(shared, guise)
  const made = (part: Block): Block => {
    const copy = { ...inGuise(part, worn), id: makeId(), sharedPart: part.id } as Block
    if (isContainer(copy)) copy.children = (part as Block & { children: Block[] }).children.map(made)
    return copy
  }
  const { sharedPart: _, ...copy } = made(shared.block)
  return { ...copy, name: shared.name, copyOf: { shared: shared.id, ...(worn ? { guise: worn.id } : {}) } } as Copy
}

/**
 * A copy of another shared block in the place of a copy: its words, pictures and links go, each in reading order, to the
 * blocks of the same kind, as far as there are any.
 * @returns the new copy, and the words that found no place
 */
export function replacedBy(copy: Copy, shared: SharedBlock, makeId: MakeId): { copy: Copy; left: Block[] } {
  const waiting = [...walk(copy)].slice(copy.kind === shared.block.kind ? 0 : 1)
  const take = (kind: Block['kind']): Block | undefined => {
    const at = waiting.findIndex((one) => one.kind === kind && !isContainer(one))
    return at < 0 ? undefined : waiting.splice(at, 1)[0]
  }
  const filled = (block: Block): Block => {
    const next = { ...block } as Record<string, unknown>
    const from = isContainer(block) ? undefined : (take(block.kind) as Record<string, unknown> | undefined)
    for (const field of OWN_FIELDS) if (from?.[field] !== undefined) next[field] = from[field]
    if (isContainer(block)) next.children = block.children.map(filled)
    return next as unknown as Block
  }
  const made = filled(newCopy(shared, makeId)) as Copy
  return {
    copy: { ...made, style: copy.style },
    left: waiting.filter((one) => hasWords(one) && Object.values(one.words).some((words) => plainText(words).trim() !== '')),
  }
}
