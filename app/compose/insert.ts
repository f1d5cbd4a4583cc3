import { type Block, type BlockKind, mayHold } from '#core/blocks/index'
import { likeBefore, newBlock, newSection } from '#core/blocks/defaults'
import { hasWords, isContainer, walk } from '#core/blocks/tree'
import { findBlock, walkPage, withNewIds } from '#core/site/tree'
import type { Edit } from '#core/edits/index'
import { openViews } from '../session/desk'
import { blockName } from '#core/blocks/block-name'
import { type SessionState, type SessionStore, edit, editAll, makeId, pageOf, select, selected, selectMany } from '../session/store'

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

/** Puts a block in, looking as the one before it where that is of its kind. */
function insert(store: SessionStore, made: Block): void {
  const state = store.getState()
  const place = insertPlace(state, made.kind)
  const holder = place && findBlock(state.session.site, place.parent)?.block
  const block = place && holder && isContainer(holder) ? likeBefore(made, holder.children[place.index - 1]) : made
  if (place && edit(store, { kind: 'insert', ...place, blocks: [block] })) select(store, block.id)
}

/** Adds a block and, if it takes words, opens them for typing. The first heading of a page is of the first level. */
export function addBlock(store: SessionStore, kind: BlockKind): void {
  const made = newBlock(kind, makeId)
  const titled = [...walkPage(pageOf(store.getState()))].some((one) => one.kind === 'heading' && one.level === 1)
  const block: Block = made.kind === 'heading' && !titled ? { ...made, level: 1 } : made
  insert(store, block)
  const { selection } = store.getState()
  if (selection === block.id && hasWords(block))
    store.setState({ words: { block: block.id, view: openViews(store.getState())[0]! } })
}

export const addSection = (store: SessionStore, job: Job): void => insert(store, newSection(job, makeId))

/**
 * Puts blocks from the clipboard in, with new ids and in their order, after the selection.
 * @param into where they go; where the selection says, if it is not given or gone
 * @param before what the site gets first, in the same step
 * @returns true if something was put in
 */
export function paste(
  store: SessionStore,
  blocks: readonly Block[],
  into?: { parent: string; index: number },
  before: readonly Edit[] = [],
): boolean {
  const state = store.getState()
  const { site } = state.session
  const pasted: string[] = []
  const edits: Edit[] = [...before]
  let place = into && (findBlock(site, into.parent) || site.pages.some((one) => one.id === into.parent)) ? into : undefined
  for (const block of blocks) {
    const copy = withNewIds(block, makeId)
    // What follows stands beside what was pasted before it, if it may.
    const holder = place && findBlock(site, place.parent)?.block
    if (!place || (holder && !mayHold(holder.kind, copy.kind))) place = insertPlace(state, copy.kind)
    if (!place) continue
    edits.push({ kind: 'insert', ...place, blocks: [copy] })
    place = { parent: place.parent, index: place.index + 1 }
    pasted.push(copy.id)
  }
  // What was cut left its words unplaced; now they stand somewhere again.
  const ids = new Set(blocks.flatMap((block) => [...walk(block)].map((one) => one.id)))
  const cut = site.unplaced.filter((one) => one.from !== undefined && ids.has(one.from)).map((one) => one.id)
  if (pasted.length === 0) return false
  if (cut.length > 0) edits.push({ kind: 'list', list: 'unplaced', drop: cut, put: [] })
  if (!editAll(store, `paste ${pasted.length === 1 ? blockName(blocks[0]!) : `${pasted.length} blocks`}`, edits)) return false
  selectMany(store, pasted)
  return true
}

/** Pastes what was copied last beside where it stood. */
export function pasteInPlace(store: SessionStore): void {
  const { copied } = store.getState()
  if (copied) paste(store, copied.blocks, copied.from)
}
