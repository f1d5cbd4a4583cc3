import { ofWidths } from '#core/style/registry'
import { type Block, mayHold } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { findBlock } from '#core/site/tree'
import { alikeOf, topmost } from '#core/many/chosen'
import { moveEdits, repeatEdits, unwrapEdits, wrapEdits } from '#core/many/structure'
import { stepEdits } from '#core/many/step'
import { styleEdits, wordEdits } from '#core/many/take-style'
import type { Length } from '#core/values/length'
import type { Edit } from '#core/edits/index'
import { positionOf } from '#core/edits/places'
import { openViews } from '../session/desk'
import { allSelected, type SessionStore, edit, editAll, makeId, pageOf, select, selected, selectMany } from '../session/store'

/** Repeats the selection along its row or column, with a space before each copy. */
export function repeatSelection(store: SessionStore, times: number, space?: Length): void {
  const state = store.getState()
  const { copies, edits } = repeatEdits(state.session.site, allSelected(state), makeId, { times, along: true, space })
  if (editAll(store, `repeat ${times} times`, edits))
    selectMany(
      store,
      copies.map((one) => one.id),
    )
}

export function duplicateSelection(store: SessionStore): void {
  const state = store.getState()
  const { copies, edits } = repeatEdits(state.session.site, allSelected(state), makeId)
  if (copies.length > 0 && editAll(store, 'duplicate', edits))
    selectMany(
      store,
      copies.map((one) => one.id),
    )
}

/** Deletes the selection and selects what stood beside it, or what held it. */
export function deleteSelection(store: SessionStore): void {
  const state = store.getState()
  const blocks = topmost(allSelected(state))
  const last = blocks.at(-1)
  if (!last) return
  const ids = blocks.map((one) => one.block.id)
  const siblings: readonly Block[] = last.ancestors.at(-1)?.children ?? pageOf(state).sections
  const { index } = positionOf(state.session.site, last)
  const left = (one: Block) => !ids.includes(one.id)
  const next = siblings.slice(index + 1).find(left) ?? siblings.slice(0, index).findLast(left) ?? last.ancestors.at(-1)
  if (edit(store, { kind: 'remove', blocks: ids })) select(store, next?.id ?? null)
}

/** Sets a field of all selected blocks to true, or takes it away where all of them have it. */
function toggleField(store: SessionStore, field: 'hidden' | 'locked', set: string, takeAway: string): void {
  const places = allSelected(store.getState())
  const all = places.every((one) => one.block[field])
  editAll(
    store,
    all ? takeAway : set,
    places.map((one): Edit => ({ kind: 'field', block: one.block.id, field, value: all ? null : true })),
  )
}

export const toggleHidden = (store: SessionStore): void => toggleField(store, 'hidden', 'hide', 'show')
export const toggleLocked = (store: SessionStore): void => toggleField(store, 'locked', 'lock', 'unlock')

/** The selected blocks that stand beside each other, in reading order, and what holds them. */
function together(store: SessionStore) {
  const state = store.getState()
  const places = topmost(allSelected(state))
  const first = places[0]
  if (!first || places.some((one) => one.ancestors.at(-1)?.id !== first.ancestors.at(-1)?.id)) return undefined
  const siblings: readonly Block[] = first.ancestors.at(-1)?.children ?? pageOf(state).sections
  const { parent } = positionOf(state.session.site, first)
  const kinds = places.map((one) => one.block.kind)
  return { site: state.session.site, places, first, siblings, parent, kinds, ids: places.map((one) => one.block.id) }
}

/** Moves the selection one place up or down among its siblings. */
export function moveSelection(store: SessionStore, by: 1 | -1): void {
  const at = together(store)
  if (!at) return
  const others = at.siblings.filter((one) => !at.ids.includes(one.id))
  const now = others.filter((one) => at.siblings.indexOf(one) < at.siblings.findIndex(({ id }) => id === at.ids[0])).length
  const to = now + by
  if (to >= 0 && to <= others.length) editAll(store, 'move', moveEdits(at.site, at.places, at.parent, to))
}

/** Moves the selection out of its group, to stand after it. */
export function moveOut(store: SessionStore): void {
  const at = together(store)
  const group = at?.first.ancestors.at(-1)
  const outer = at?.first.ancestors.at(-2)
  if (!at || !group || !outer || !at.kinds.every((kind) => mayHold(outer.kind, kind))) return
  const index = outer.children.findIndex((one) => one.id === group.id) + 1
  editAll(store, 'move', moveEdits(at.site, at.places, outer.id, index))
}

/** Moves the selection into the group before it, to its end. */
export function moveIn(store: SessionStore): void {
  const at = together(store)
  const before = at?.siblings[at.siblings.findIndex((one) => one.id === at.ids[0]) - 1]
  if (!at || !before || !isContainer(before) || !at.kinds.every((kind) => mayHold(before.kind, kind))) return
  editAll(store, 'move', moveEdits(at.site, at.places, before.id, before.children.length))
}

/** Puts a new group around the selection, in the place of its first block. */
export function groupSelection(store: SessionStore): void {
  const state = store.getState()
  const made = wrapEdits(state.session.site, allSelected(state), makeId)
  if (made && editAll(store, 'group', made.edits)) select(store, made.group)
}

/** Takes the selected groups away and leaves what they hold. */
export function ungroupSelection(store: SessionStore): void {
  const state = store.getState()
  const made = unwrapEdits(state.session.site, allSelected(state))
  if (made && editAll(store, 'take the group away', made.edits)) selectMany(store, made.blocks)
}

/** Selects all that stands beside the selection. */
export function selectSiblings(store: SessionStore): void {
  const at = together(store)
  if (at) selectMany(store, [...at.siblings.map((one) => one.id).filter((id) => !at.ids.includes(id)), ...at.ids])
}

/** Selects the blocks of the same kind, or also of the same style, in the section or on the page. */
export function selectAlike(store: SessionStore, within: 'section' | 'page', like: 'kind' | 'style'): void {
  const place = selected(store.getState())
  if (!place) return
  const ids = alikeOf(store.getState().session.site, place, within, like).map((one) => one.id)
  selectMany(store, [...ids.filter((id) => id !== place.block.id), place.block.id])
}

/** Gives the selection the style of what was copied, or its words. */
export function pasteOnly(store: SessionStore, what: 'style' | 'words' | 'motion'): void {
  const state = store.getState()
  const from = state.copied?.blocks[0]
  if (!from) return
  const onto = allSelected(state).map((one) => one.block)
  const edits =
    what === 'words' ? wordEdits(from, onto) : styleEdits(state.session.site, from, onto, what === 'motion' ? what : undefined)
  editAll(store, `paste the ${what}`, edits)
}

/** Picks up the style of the selection, to be put on whatever is pressed next; or puts it down. */
export function pickUp(store: SessionStore): void {
  const { picked } = store.getState()
  store.setState({ picked: picked ? null : (selected(store.getState())?.block ?? null) })
}

/** Puts the style that was picked up on a block. */
export function putOn(store: SessionStore, id: string): void {
  const { picked, session } = store.getState()
  const block = findBlock(session.site, id)?.block
  if (picked && block) editAll(store, 'put the style on', styleEdits(session.site, picked, [block]))
}

/** Moves the selection by columns of its grid, or makes it wider or narrower, at the widths that are edited. */
export function stepSelection(store: SessionStore, by: { start?: number; span?: number }): void {
  const state = store.getState()
  const scope = ofWidths(state.scope)
  editAll(store, by.span ? 'columns' : 'from column', stepEdits(state.session.site, allSelected(state), by, scope))
}

/** Selects the first block of what the selection holds. */
function selectInside(store: SessionStore): void {
  const place = selected(store.getState())
  if (place && 'children' in place.block && place.block.children[0]) select(store, place.block.children[0].id)
}

/**
 * Opens the words of the selection for editing, or goes inside it.
 * @param typed letters that were typed before
 */
export function editWords(store: SessionStore, typed?: string): void {
  const state = store.getState()
  const place = selected(state)
  const [view] = openViews(state)
  if (place && 'words' in place.block)
    store.setState({ words: { block: place.block.id, view: view!, ...(typed ? { typed } : {}) } })
  else selectInside(store)
}
