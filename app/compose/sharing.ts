import { mayHold } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { wrapEdits } from '#core/many/structure'
import { topmost } from '#core/many/chosen'
import type { Edit } from '#core/edits/index'
import { positionOf } from '#core/edits/places'
import { findBlock } from '#core/site/tree'
import { type Copy, copiesOf, copyAround, independent, sharedOf } from '#core/shared/copies'
import { newCopy } from '#core/shared/make'
import { blockName } from '#core/blocks/block-name'
import { allSelected, edit, editAll, makeId, type SessionState, type SessionStore, select, selected } from '../session/store'
import { insertPlace } from './insert'

/** A name that no shared block has. */
function freeName(state: SessionState, name: string): string {
  const taken = new Set(state.session.site.shared.map((one) => one.name))
  let free = name.slice(0, 76)
  for (let n = 2; taken.has(free); n++) free = `${name.slice(0, 76)} ${n}`
  return free
}

/** Makes a shared block of the selection; of several blocks, with a group around them. */
export function shareSelection(store: SessionStore): void {
  const state = store.getState()
  const places = topmost(allSelected(state))
  const shared = makeId()
  const share = (block: string, name: string): Edit => ({ kind: 'share', block, shared, name: freeName(state, name) })
  if (places.length === 1) {
    const { block } = places[0]!
    if (edit(store, share(block.id, blockName(block)))) select(store, block.id)
    return
  }
  const made = wrapEdits(state.session.site, places, makeId)
  if (made && editAll(store, 'share', [...made.edits, share(made.group, 'Group')])) select(store, made.group)
}

/** True where the selection can become a shared block. */
export function canShare(store: SessionStore): boolean {
  const places = allSelected(store.getState())
  return (
    places.length > 0 &&
    places.every((place) => !copyAround(place) && ![...walk(place.block)].some((one) => one.copyOf)) &&
    places.every(({ block }) => places.length === 1 || block.kind !== 'section')
  )
}

/** Where a new copy is put: after the selection or in it, like every block of its kind, but not inside a copy. */
function copyPlace(state: SessionState, kind: Copy['kind']): { parent: string; index: number } | undefined {
  const place = selected(state)
  const around = place && copyAround(place)
  const outer = around && findBlock(state.session.site, around.id)
  if (!outer || kind === 'section') return insertPlace(state, kind)
  const holder = outer.ancestors.at(-1)
  const { parent, index } = positionOf(state.session.site, outer)
  return holder && mayHold(holder.kind, kind) ? { parent, index: index + 1 } : undefined
}

/** Puts a new copy of a shared block after the selection, and selects it. */
export function placeCopy(store: SessionStore, id: string, guise?: string): void {
  const state = store.getState()
  const shared = sharedOf(state.session.site, id)
  const place = shared && copyPlace(state, shared.block.kind as Copy['kind'])
  if (!place) return
  const copy = newCopy(shared, makeId, guise)
  if (edit(store, { kind: 'insert', ...place, blocks: [copy] })) select(store, copy.id)
}

export function canPlaceCopy(store: SessionStore, id: string): boolean {
  const state = store.getState()
  const shared = sharedOf(state.session.site, id)
  return shared !== undefined && copyPlace(state, shared.block.kind as Copy['kind']) !== undefined
}

/** The copies that the selection is or stands in. */
export function selectedCopies(state: SessionState): Copy[] {
  const copies = allSelected(state).flatMap((place) => copyAround(place) ?? [])
  return [...new Map(copies.map((one) => [one.id, one])).values()]
}

/** Makes the selected copies blocks of their own, which follow no more. */
export function makeIndependent(store: SessionStore): void {
  const copies = selectedCopies(store.getState())
  editAll(
    store,
    'make independent',
    copies.map((copy): Edit => ({ kind: 'copies', id: copy.copyOf.shared, blocks: [independent(copy)] })),
  )
}

/** How many places a change of a copy reaches, with the guise that it is about if it is about one. */
export function reachOf(state: SessionState, copy: Copy): { places: number; guise?: string } {
  const { site } = state.session
  const shared = sharedOf(site, copy.copyOf.shared)
  const guise = state.reach === 'guise' ? shared?.guises.find((one) => one.id === copy.copyOf.guise) : undefined
  return { places: copiesOf(site, copy.copyOf.shared, guise?.id).length, ...(guise ? { guise: guise.name } : {}) }
}
