import type { Block } from '#core/blocks/index'
import { isContainer, walk } from '#core/blocks/tree'
import type { SharedBlock } from '#core/site/shared'
import type { Site } from '#core/site/schema'
import { findBlock, type Place } from '#core/site/tree'
import { blockOfPart, type Copy, copiesOf, copyAround, derivedId, guiseOf, partOf, sharedOf } from '#core/shared/copies'
import { fieldsOfGuise, isOwnField, isPlacing } from '#core/shared/synced'
import type { PropertyName } from '#core/style/registry'
import { batchOf } from './batch'
import { EditError } from './edit'
import type { FieldEdit } from './field'
import type { Edit } from './index'
import type { InsertEdit } from './insert'
import type { MoveEdit } from './move'
import type { RemoveEdit } from './remove'
import type { Inner, SharedEdit } from './shared'
import type { StyleEdit } from './style'

/** What an edit of a copy in a guise changes: that guise, or all copies. */
export type Reach = 'guise' | 'all'

type Inside = { place: Place; copy: Copy; shared: SharedBlock; part: string }

/** The copy and the part that a block belongs to; nothing for a block of its own. */
function insideOf(site: Site, id: string): Inside | undefined {
  const place = findBlock(site, id)
  const copy = place && copyAround(place)
  const shared = copy && sharedOf(site, copy.copyOf.shared)
  const part = shared && partOf(shared, place.block)
  return shared && part !== undefined ? { place, copy, shared, part } : undefined
}

const wrap = ({ shared, copy }: Inside, edit: Inner, reach: Reach = 'all'): SharedEdit => ({
  kind: 'shared',
  shared: shared.id,
  ...(reach === 'guise' && guiseOf(shared, copy.copyOf.guise) ? { guise: copy.copyOf.guise! } : {}),
  edit,
})

function styleThrough(site: Site, edit: StyleEdit, reach: Reach): Edit {
  const inside = insideOf(site, edit.block)
  if (!inside) return edit
  const { copy, shared, part } = inside
  const names = Object.keys(edit.values) as PropertyName[]
  const isRoot = copy.id === edit.block
  const own = names.filter((name) => isRoot && isPlacing(copy, name))
  const rest = names.filter((name) => !own.includes(name))
  const some = (chosen: readonly PropertyName[]) => Object.fromEntries(chosen.map((name) => [name, edit.values[name]]))
  if (rest.length === 0) return edit
  const edits: Edit[] = own.length > 0 ? [{ ...edit, values: some(own) } as Edit] : []
  if (edit.direction === undefined) edits.push(wrap(inside, { ...edit, block: part, values: some(rest) } as Inner, reach))
  else {
    // What holds in one direction alone stands with the blocks, so it is given to that of each copy.
    const guise = reach === 'guise' ? copy.copyOf.guise : undefined
    for (const { copy: other } of copiesOf(site, shared.id, guise)) {
      const block = blockOfPart(shared, other, part)
      if (block) edits.push({ ...edit, block: block.id, values: some(rest) } as Edit)
    }
  }
  return batchOf('style', edits)
}

function fieldThrough(site: Site, edit: FieldEdit, reach: Reach): Edit {
  const inside = insideOf(site, edit.block)
  if (!inside || isOwnField(edit.field)) return edit
  if (edit.block === inside.copy.id && (edit.field === 'hidden' || edit.field === 'locked')) return edit
  const inner: Inner = { ...edit, block: inside.part }
  return wrap(inside, inner, fieldsOfGuise(inside.place.block.kind).includes(edit.field) ? reach : 'all')
}

const hasCopies = (block: Block): boolean => [...walk(block)].some((one) => one.copyOf !== undefined)

/** Blocks as new parts, and the ids that they keep in the copy that they were put into. */
function newParts(shared: SharedBlock, blocks: readonly Block[]): { parts: Block[]; ids: Record<string, string> } {
  const ids: Record<string, string> = {}
  const named = (block: Block): Block => {
    if (block.copyOf)
      throw new EditError(`A shared block cannot stand in another. Make ${block.name ?? 'the copy'} independent first.`)
    const { sharedPart: _, ...rest } = block
    const id = derivedId(shared.id, block.id)
    ids[id] = block.id
    return { ...rest, id, ...(isContainer(block) ? { children: block.children.map(named) } : {}) } as Block
  }
  return { parts: blocks.map(named), ids }
}

function insertThrough(site: Site, edit: InsertEdit): Edit {
  const inside = insideOf(site, edit.parent)
  if (!inside) return edit
  const { parts, ids } = newParts(inside.shared, edit.blocks)
  return { ...wrap(inside, { ...edit, parent: inside.part, blocks: parts }), ids: { [inside.copy.id]: ids } }
}

function removeThrough(site: Site, edit: RemoveEdit): Edit {
  const edits: Edit[] = []
  let own: string[] = []
  const close = () => {
    if (own.length > 0) edits.push({ ...edit, blocks: own })
    own = []
  }
  for (const id of edit.blocks) {
    const inside = insideOf(site, id)
    if (!inside || inside.copy.id === id) own.push(id)
    else {
      close()
      edits.push(wrap(inside, { ...edit, blocks: [inside.part] }))
    }
  }
  close()
  return edits.length === 1 && own.length === 0 && edits[0]!.kind === 'remove' ? edit : batchOf('delete', edits)
}

function moveThrough(site: Site, edit: MoveEdit): Edit {
  const from = insideOf(site, edit.block)
  const to = insideOf(site, edit.parent)
  const isPart = from !== undefined && from.copy.id !== edit.block
  if (!isPart && !to) return edit
  if (isPart && to && from.copy.id === to.copy.id) return wrap(from, { ...edit, block: from.part, parent: to.part })
  if (isPart)
    throw new EditError(`This is part of “${from.shared.name}”, which is shared. Make the copy independent to take it out.`)
  const place = findBlock(site, edit.block)
  if (!place) return edit
  if (hasCopies(place.block)) throw new EditError('A shared block cannot stand in another. Make it independent first.')
  if ([...walk(place.block)].some((one) => one.id === edit.parent)) return edit
  return batchOf('move', [
    { kind: 'remove', blocks: [edit.block], discard: true },
    insertThrough(site, { kind: 'insert', parent: edit.parent, index: edit.index, blocks: [place.block] }),
  ])
}

/**
 * An edit of a block in a copy as the edit that it comes to: values and structure are the shared block's, so that every
 * copy has them; words, pictures and links are the copy's own, and so is where it stands. Others are given back as they are.
 * @throws EditError for what cannot be done to a copy
 */
export function throughShared(site: Site, edit: Edit, reach: Reach = 'guise'): Edit {
  if (site.shared.length === 0) return edit
  switch (edit.kind) {
    case 'style':
      return styleThrough(site, edit, reach)
    case 'field':
      return fieldThrough(site, edit, reach)
    case 'insert':
      return insertThrough(site, edit)
    case 'remove':
      return removeThrough(site, edit)
    case 'move':
      return moveThrough(site, edit)
    case 're-set':
      if (insideOf(site, edit.section))
        throw new EditError('This section is shared. Make it independent to set it in another arrangement.')
      return edit
    default:
      return edit
  }
}

/** An edit made for all copies where it would reach those of one guise alone. */
export function forAllCopies(site: Site, edit: Edit): Edit {
  if (edit.kind === 'batch') return { ...edit, edits: edit.edits.map((one) => forAllCopies(site, one)) }
  return edit.kind === 'style' || edit.kind === 'field' ? throughShared(site, edit, 'all') : edit
}
