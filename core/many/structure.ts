import { type Block, type Container, mayHold } from '#core/blocks/index'
import { newBlock } from '#core/blocks/defaults'
import { isContainer } from '#core/blocks/tree'
import type { Edit } from '#core/edits/index'
import { positionOf } from '#core/edits/places'
import type { Site } from '#core/site/schema'
import { findBlock, type Place, withNewIds } from '#core/site/tree'
import type { Length } from '#core/values/length'
import type { StyleValues } from '#core/style/registry'
import type { MakeId } from '#core/values/ids'
import { topmost } from './chosen'

/**
 * The edits that put blocks into a new group, which stands where the first of them does. Blocks of other containers
 * come along, in reading order.
 * @returns the group's id with the edits; none where one of the blocks cannot stand in a group
 */
export function wrapEdits(site: Site, places: readonly Place[], makeId: MakeId): { group: string; edits: Edit[] } | undefined {
  const blocks = topmost(places)
  if (blocks.length === 0 || blocks.some((one) => !mayHold('group', one.block.kind))) return undefined
  const first = blocks[0]!
  const group = newBlock('group', makeId)
  // A group on columns takes those that its blocks took together, so that nothing moves.
  const spans = blocks.map((one) => one.block.style.base?.span)
  const beside = blocks.every((one) => one.ancestors.at(-1)?.id === first.ancestors.at(-1)?.id)
  const { span, start } = first.block.style.base ?? {}
  if (blocks.length === 1 && span !== undefined) group.style = { base: { span, ...(start === undefined ? {} : { start }) } }
  else if (beside && spans.every((one) => one !== undefined)) {
    const all = spans.reduce<number>((sum, one) => sum + one!, 0)
    group.style = { base: { layout: 'grid', ...(all <= 24 ? { span: all } : {}), ...(start === undefined ? {} : { start }) } }
  }
  const { parent, index } = positionOf(site, first)
  return {
    group: group.id,
    edits: [
      { kind: 'insert', parent, index, blocks: [group] },
      ...blocks.map(({ block }, n): Edit => ({ kind: 'move', block: block.id, parent: group.id, index: n })),
      ...(blocks.length === 1 && start !== undefined
        ? [{ kind: 'style', block: first.block.id, scope: 'base', values: { start: null } } as const]
        : []),
    ],
  }
}

/**
 * The edits that take the groups among the blocks away and leave what they hold in their place.
 * @returns the ids of what stands there then; `undefined` where there is no group, or its blocks cannot stand outside it
 */
export function unwrapEdits(site: Site, places: readonly Place[]): { blocks: string[]; edits: Edit[] } | undefined {
  const groups = topmost(places).filter((one) => one.block.kind === 'group')
  const edits: Edit[] = []
  const blocks: string[] = []
  // From the last to the first, so that the places of those before stay as they are.
  for (const group of groups.reverse()) {
    if (!isContainer(group.block)) continue
    const holder = group.ancestors.at(-1)!
    if (group.block.children.some((child) => !mayHold(holder.kind, child.kind))) return undefined
    const { parent, index } = positionOf(site, group)
    group.block.children.forEach((child, n) => {
      edits.push({ kind: 'move', block: child.id, parent, index: index + n })
      blocks.push(child.id)
      // In a grid it takes the columns that the group took, so that nothing moves.
      const { span, start } = group.block.style.base ?? {}
      if (span !== undefined && child.style.base?.span === undefined)
        edits.push({ kind: 'style', block: child.id, scope: 'base', values: start === undefined ? { span } : { span, start } })
    })
    edits.push({ kind: 'remove', blocks: [group.block.id], discard: true })
  }
  return edits.length > 0 ? { blocks, edits } : undefined
}

/**
 * The edits that move blocks into a container, next to each other and in reading order.
 * @param index among those of its blocks that are not moved
 */
export function moveEdits(site: Site, places: readonly Place[], parent: string, index: number): Edit[] {
  const blocks = topmost(places).map((one) => one.block.id)
  const held =
    site.pages.find((one) => one.id === parent)?.sections ?? (findBlock(site, parent)?.block as Container | undefined)?.children
  let now: string[] = (held ?? []).map((one) => one.id)
  const anchor = now.filter((id) => !blocks.includes(id))[index]
  let before: string | undefined
  return blocks.map((block) => {
    now = now.filter((id) => id !== block)
    const at = before !== undefined ? now.indexOf(before) + 1 : anchor === undefined ? now.length : now.indexOf(anchor)
    now.splice(at, 0, block)
    before = block
    return { kind: 'move', block, parent, index: at }
  })
}

/** Most copies that are made at once. */
export const MOST_COPIES = 100

/**
 * The edits that put copies of blocks after the last of them, in their order.
 * @param times how many copies of each, 1 to `MOST_COPIES`
 * @param along true where the copies follow each other: they take the next columns, and not the first one's
 * @param space before the first block of each copy
 */
export function repeatEdits(
  site: Site,
  places: readonly Place[],
  makeId: MakeId,
  { times = 1, along = false, space }: { times?: number; along?: boolean; space?: Length } = {},
): { copies: Block[]; edits: Edit[] } {
  const copies: Block[] = []
  const edits: Edit[] = []
  const blocks = topmost(places)
  for (const end of new Map(blocks.map((one) => [one.ancestors.at(-1)?.id, one])).values()) {
    const beside = blocks.filter((one) => one.ancestors.at(-1)?.id === end.ancestors.at(-1)?.id)
    const made = Array.from({ length: Math.min(MOST_COPIES, Math.max(1, Math.round(times))) }, () =>
      beside.map(({ block }, n) => {
        const copy = withNewIds(block, makeId)
        const base: StyleValues = { ...copy.style.base }
        if (along) delete base.start
        if (space && n === 0) base.spaceBefore = space
        return copy.style.base || space ? { ...copy, style: { ...copy.style, base } } : copy
      }),
    ).flat()
    const { parent, index } = positionOf(site, end)
    edits.push({ kind: 'insert', parent, index: index + 1, blocks: made })
    copies.push(...made)
  }
  return { copies, edits }
}
