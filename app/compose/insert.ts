import { type Block, type BlockKind, mayHold } from '#core/blocks/index'
import { newBlock, newSection } from '#core/blocks/defaults'
import { hasWords, isContainer, walk } from '#core/blocks/tree'
import { withNewIds } from '#core/site/tree'
import type { Edit } from '#core/edits/index'
import { positionOf } from '#core/edits/places'
import { blockName, type SessionState, type SessionStore, edit, editAll, makeId, pageOf, selected } from '../session/store'

type Job = Parameters<typeof newSection>[0]

/** Where a new block of a kind goes: into the selection if it may hold it, else after the selection or what holds it. */
export function insertPlace(state: SessionState, kind: BlockKind): { parent: string; index: number } | undefined {
  const page = pageOf(state)
  const place = selected(state)
  if (kind === 'section') {
    const section = place && (place.ancestors[0] ?? place.block)
    const at = page.sections.findIndex((one) => one.id === section?.id)
    const footer = page.sections.at(-1)?.job === 'footer' ? page.sections.length - 1 : page.sections.length
    return { parent: page.id, index: at < 0 ? footer : at + 1 }
  }
  if (!place) {
    const last = page.sections.at(-1)
    return last && { parent: last.id, index: last.children.length }
  }
  const { block } = place
  if (isContainer(block) && mayHold(block.kind, kind)) return { parent: block.id, index: block.children.length }
  const chain = [...place.ancestors, block]
  for (let i = place.ancestors.length - 1; i >= 0; i--) {
    const ancestor = place.ancestors[i]!
    if (mayHold(ancestor.kind, kind)) return { parent: ancestor.id, index: ancestor.children.indexOf(chain[i + 1] as never) + 1 }
  }
  return undefined
}

function insert(store: SessionStore, block: Block): void {
  const place = insertPlace(store.getState(), block.kind)
  if (place && edit(store, { kind: 'insert', ...place, blocks: [block] })) store.setState({ selection: block.id })
}

/** Adds a block and, if it takes words, opens them for typing. */
export function addBlock(store: SessionStore, kind: BlockKind): void {
  const block = newBlock(kind, makeId)
  insert(store, block)
  const { selection, shown } = store.getState()
  if (selection === block.id && hasWords(block)) store.setState({ words: { block: block.id, view: shown === 'all' ? 0 : shown } })
}

export const addSection = (store: SessionStore, job: Job): void => insert(store, newSection(job, makeId))

/** Puts blocks from the clipboard in, with new ids, after the selection. */
export function paste(store: SessionStore, blocks: Block[]): void {
  for (const block of blocks) {
    const copy = withNewIds(block, makeId)
    const state = store.getState()
    const place = insertPlace(state, copy.kind)
    if (!place) continue
    // What was cut left its words unplaced; now they stand somewhere again.
    const ids = new Set([...walk(block)].map((one) => one.id))
    const cut = state.session.site.unplaced.filter((one) => one.from !== undefined && ids.has(one.from)).map((one) => one.id)
    const edits: Edit[] = [{ kind: 'insert', ...place, blocks: [copy] }]
    if (cut.length > 0) edits.push({ kind: 'list', list: 'unplaced', drop: cut, put: [] })
    if (editAll(store, `paste ${blockName(copy)}`, edits)) store.setState({ selection: copy.id })
  }
}

export function duplicateSelection(store: SessionStore): void {
  const state = store.getState()
  const place = selected(state)
  if (!place) return
  const copy = withNewIds(place.block, makeId)
  const { parent, index } = positionOf(state.session.site, place)
  if (edit(store, { kind: 'insert', parent, index: index + 1, blocks: [copy] })) store.setState({ selection: copy.id })
}

/** Deletes the selection and selects what stood beside it, or what held it. */
export function deleteSelection(store: SessionStore): void {
  const state = store.getState()
  const place = selected(state)
  if (!place) return
  const siblings: readonly Block[] = place.ancestors.at(-1)?.children ?? pageOf(state).sections
  const { index } = positionOf(state.session.site, place)
  const next = siblings[index + 1] ?? siblings[index - 1] ?? place.ancestors.at(-1)
  if (edit(store, { kind: 'remove', blocks: [place.block.id] })) store.setState({ selection: next?.id ?? null })
}

/** Moves the selection one place up or down among its siblings. */
export function moveSelection(store: SessionStore, by: 1 | -1): void {
  const state = store.getState()
  const place = selected(state)
  if (!place) return
  const { parent, index } = positionOf(state.session.site, place)
  const count = (place.ancestors.at(-1)?.children ?? pageOf(state).sections).length
  const to = index + by
  if (to >= 0 && to < count) edit(store, { kind: 'move', block: place.block.id, parent, index: to })
}

/** Moves the selection out of its group, to stand after it. */
export function moveOut(store: SessionStore): void {
  const state = store.getState()
  const place = selected(state)
  const group = place?.ancestors.at(-1)
  const outer = place?.ancestors.at(-2)
  if (!place || !group || !outer || !mayHold(outer.kind, place.block.kind)) return
  const index = outer.children.findIndex((one) => one.id === group.id) + 1
  edit(store, { kind: 'move', block: place.block.id, parent: outer.id, index })
}

/** Moves the selection into the group before it, to its end. */
export function moveIn(store: SessionStore): void {
  const state = store.getState()
  const place = selected(state)
  const siblings = place?.ancestors.at(-1)?.children ?? []
  const before = siblings[siblings.findIndex((one) => one.id === place?.block.id) - 1]
  if (!place || !before || !isContainer(before) || !mayHold(before.kind, place.block.kind)) return
  edit(store, { kind: 'move', block: place.block.id, parent: before.id, index: before.children.length })
}

/** Puts a new group around the selection, in its place. */
export function groupSelection(store: SessionStore): void {
  const state = store.getState()
  const place = selected(state)
  if (!place || !mayHold('group', place.block.kind)) return
  const { parent, index } = positionOf(state.session.site, place)
  const group = newBlock('group', makeId)
  const made = editAll(store, `group ${blockName(place.block)}`, [
    { kind: 'insert', parent, index, blocks: [group] },
    { kind: 'move', block: place.block.id, parent: group.id, index: 0 },
  ])
  if (made) store.setState({ selection: group.id })
}
