import { freeze } from 'immer'
import { customAlphabet } from 'nanoid'
import { toast } from 'sonner'
import { createStore, type StoreApi } from 'zustand/vanilla'
import { EditError } from '#core/edits/edit'
import { type Edit, editLabel } from '#core/edits/index'
import { batchOf } from '#core/edits/batch'
import { joinInverses } from '#core/edits/merge'
import { forAllCopies, type Reach } from '#core/edits/through-shared'
import { catchUp, type Lost, makeEdit, openSession, type Session, settle } from '#core/edits/session'
import type { Block } from '#core/blocks/index'
import type { Page, Site } from '#core/site/schema'
import { findBlock, type Place } from '#core/site/tree'
import type { Present } from '#core/values/company'
import type { Scope } from '#core/style/registry'
import { nameOfEdited } from './edited'
import type { Stress } from '#core/stress/stress'

export const makeId = customAlphabet('0123456789abcdefghijklmnopqrstuvwxyz', 8)

/**
 * One step of undo or redo: the edit to make, what it takes back in words, on what that was done, and when, ms since 1970.
 */
export type Step = { edit: Edit; label: string; on: string; at: number; gesture?: string }

export type SaveState = { kind: 'saved'; at: Date | null } | { kind: 'saving' } | { kind: 'waiting'; why: string }

/** A block whose words are being edited, and the view that it is edited in. */
export type WordsEditing = {
  block: string
  view: number
  /** Where the caret goes: the start, a point of the page in px of the view, or else the end. */
  caret?: 'start' | { left: number; top: number }
  /** Letters that were typed before it was known that they are words. */
  typed?: string
}

/** What was copied, and the place after it: a holder of blocks, and an index in it. */
export type Copied = { blocks: readonly Block[]; from: { parent: string; index: number } }

export type SessionState = {
  siteId: string
  pageId: string
  session: Session
  /** Keys of edits that are on their way to the server. */
  sending: ReadonlySet<string>
  save: SaveState
  /** Others who have a screen of the site open, and where they work. */
  others: readonly Present[]
  undo: readonly Step[]
  redo: readonly Step[]
  /** The selected block; of several, the one that was picked last. */
  selection: string | null
  /** The others that are selected with it, in the order that they were picked. */
  also: readonly string[]
  /** Blocks that were copied last in this tab, and where they stood. */
  copied: Copied | null
  /** The block whose style is put on those that are pressed. */
  picked: Block | null
  /** True while a block is drawn onto the columns. */
  drawing: boolean
  scope: Scope
  /** True while styles are set for the current direction alone. */
  onlyHere: boolean
  /** Views on the stage: all, or the index of one. */
  shown: 'all' | number
  /** Zoom of each view; null fits it. */
  zooms: readonly (number | null)[]
  grid: boolean
  distances: boolean
  /** How the screen is arranged; see `desk`. */
  tray: boolean
  order: boolean
  /** Height of the tray, px; null for the usual one. */
  trayHeight: number | null
  /** Widths of views that are folded away, and columns of the tray by their names. */
  foldedViews: readonly number[]
  foldedColumns: readonly string[]
  /** True while paddings and spaces have a field for each side. */
  eachSide: boolean
  /** The column of the tray that is chosen among those in tabs; it stays from one block to the next. */
  trayTab: string | null
  /** Views that show the wire look, by index. */
  wire: ReadonlySet<number>
  /** True while the wire look and the finished look of one view are compared. */
  comparing: boolean
  /** What the chooser of arrangements is open for: a new section, or the section with this id. */
  chooser: { section?: string } | null
  pagesOpen: boolean
  /** True while the table of exceptions is open. */
  exceptionsOpen: boolean
  /** The fill layer that is chosen in the tray, by its index; its gradient has handles in the views. */
  fillLayer: number | null
  /** The picture block that is cropped in its frame. */
  cropping: string | null
  /** True while the scroll ruler stands beside the views. */
  scrollRuler: boolean
  /** Scroll position that the views are shown at, px of the view that leads; null at rest. */
  playhead: number | null
  /** px per second at which the playhead runs; null while it stands. */
  running: number | null
  /** The motion of the selection that is chosen, by its index. */
  motionAt: number
  /** True while it is shown where words could stand over what is behind the selection. */
  heat: boolean
  /** Edits that are only looked at: the views show the page as it would be. */
  tried: readonly Edit[] | null
  /** What the views are put to: words, entries, pictures or settings other than those of the page. */
  stress: Stress | null
  /** True while the pictures of the site are open. */
  picturesOpen: boolean
  /** True while the widths at which the page breaks are shown. */
  troubleOpen: boolean
  /** Where words over pictures can be read worst: view, block, and box in px of the page. */
  worstPatches: readonly { view: number; block: string; box: { left: number; top: number; width: number; height: number } }[]
  words: WordsEditing | null
  /** True while the list of shared blocks is open. */
  sharedOpen: boolean
  /** What is changed with a copy that wears a guise: that guise, or all copies. */
  reach: Reach
  /** Counts layouts of the views, so that what is drawn over them is drawn again. */
  layout: number
}

const NO_VIEWS: ReadonlySet<number> = new Set()
const NONE: readonly string[] = []

export type SessionStore = StoreApi<SessionState>

export function createSessionStore(siteId: string, pageId: string, site: Site, revision: number): SessionStore {
  return createStore<SessionState>(() => ({
    siteId,
    pageId,
    session: openSession(freeze(site, true), revision),
    sending: new Set(),
    save: { kind: 'saved', at: null },
    others: [],
    undo: [],
    redo: [],
    selection: null,
    also: NONE,
    copied: null,
    picked: null,
    drawing: false,
    scope: 'base',
    onlyHere: false,
    shown: 'all',
    zooms: [],
    grid: false,
    distances: false,
    tray: true,
    order: true,
    trayHeight: null,
    foldedViews: [],
    foldedColumns: NONE,
    eachSide: false,
    trayTab: null,
    wire: NO_VIEWS,
    comparing: false,
    chooser: null,
    pagesOpen: false,
    exceptionsOpen: false,
    troubleOpen: false,
    fillLayer: null,
    cropping: null,
    scrollRuler: false,
    playhead: null,
    running: null,
    motionAt: 0,
    heat: false,
    tried: null,
    stress: null,
    picturesOpen: false,
    worstPatches: [],
    words: null,
    sharedOpen: false,
    reach: 'guise',
    layout: 0,
  }))
}

/** Most steps that can be taken back. */
export const MOST_STEPS = 500

/**
 * Makes an edit on the store's site and gives the edit that takes it back; a refusal is shown and changes nothing.
 * @param refused what has not happened then, where it was not this edit that was asked for
 */
function perform(store: SessionStore, edit: Edit, gesture?: string, refused?: string): Edit | undefined {
  const { session, sending } = store.getState()
  try {
    const made = makeEdit(session, { key: makeId() + makeId(), edit, gesture }, sending)
    store.setState({ session: made.session })
    return made.inverse
  } catch (error) {
    if (!(error instanceof EditError)) throw error
    toast.error(refused === undefined ? error.message : `${refused}: ${error.message}`)
    return undefined
  }
}

/**
 * Makes an edit. Edits of one gesture (a drag, a stretch of typing) are one step of undo.
 * @returns true if it was made
 */
export function edit(store: SessionStore, asked: Edit, gesture?: string): boolean {
  const { session, reach } = store.getState()
  const one = reach === 'all' ? forAllCopies(session.site, asked) : asked
  const inverse = perform(store, one, gesture)
  if (!inverse) return false
  const { undo } = store.getState()
  const last = undo.at(-1)
  const at = Date.now()
  const steps =
    gesture !== undefined && last?.gesture === gesture
      ? [...undo.slice(0, -1), { ...last, at, edit: joinInverses(last.label, inverse, last.edit) }]
      : [
          ...undo,
          { edit: inverse, label: editLabel(one), on: nameOfEdited(one, session.site, store.getState().session.site), at, gesture },
        ]
  store.setState({ undo: steps.slice(-MOST_STEPS), redo: [] })
  return true
}

/** Several edits as one step. */
export function editAll(store: SessionStore, label: string, edits: Edit[], gesture?: string): boolean {
  if (edits.length === 0) return true
  return edit(store, batchOf(label, edits), gesture)
}

function step(store: SessionStore, from: 'undo' | 'redo', to: 'undo' | 'redo'): void {
  const state = store.getState()
  const last = state[from].at(-1)
  if (!last) return
  store.setState({ [from]: state[from].slice(0, -1), words: null } as Partial<SessionState>)
  const { gesture: _, ...kept } = last
  const inverse = perform(store, last.edit, undefined, `“${last.label}” cannot be ${from === 'undo' ? 'taken back' : 'done again'}`)
  if (!inverse) return
  store.setState({ [to]: [...store.getState()[to], { ...kept, edit: inverse }] } as Partial<SessionState>)
  dropGone(store)
}

/**
 * Goes back, or forward again, to where so many steps are done. What cannot be taken back any more is said, and ends the
 * way there.
 */
export function goToStep(store: SessionStore, done: number): void {
  for (;;) {
    const { undo: steps, redo: again } = store.getState()
    if (steps.length === done) return
    const all = steps.length + again.length
    if (steps.length > done) undo(store)
    else redo(store)
    const now = store.getState()
    if (now.undo.length + now.redo.length !== all || now.undo.length === steps.length) return
  }
}

/** Takes what is on no page any more out of the selection. */
function dropGone(store: SessionStore): void {
  const { selection, also, session } = store.getState()
  const stands = (id: string) => findBlock(session.site, id) !== undefined
  if ((selection === null || stands(selection)) && also.every(stands)) return
  const left = chosenIds(store.getState()).filter(stands)
  store.setState({
    selection: left.at(-1) ?? null,
    also: left.slice(0, -1),
    ...(selection !== null && !stands(selection) ? { words: null } : {}),
  })
}

export const undo = (store: SessionStore): void => step(store, 'undo', 'redo')
export const redo = (store: SessionStore): void => step(store, 'redo', 'undo')

function tellLost(lost: readonly Lost[]): void {
  for (const { edit: one, reason } of lost) {
    toast.error(`Not kept: ${editLabel(one)}. ${reason}`, { duration: 12_000 })
  }
}

/** Takes in the server's answer to edits that were sent. */
export function settleSent(
  store: SessionStore,
  sent: readonly string[],
  revision: number,
  refused: readonly { key: string; reason: string }[],
): void {
  const { session, lost } = settle(store.getState().session, sent, revision, refused)
  store.setState({ session })
  tellLost(lost)
}

/** Takes in edits made in another tab. */
export function takeIn(store: SessionStore, missed: readonly { key: string; edit: Edit }[], revision: number): void {
  const { session, lost } = catchUp(store.getState().session, missed, revision)
  store.setState({ session })
  dropGone(store)
  tellLost(lost)
}

/** The page on the stage; the site's first if it has been deleted. */
export function pageOf({ session, pageId }: SessionState): Page {
  return session.site.pages.find((one) => one.id === pageId) ?? session.site.pages[0]!
}

const lastPlace = new WeakMap<Site, { id: string; place: Place | undefined }>()

/** The selected block and where it stands; the same object as long as the site and the selection are the same. */
export function selected({ session, selection }: SessionState): Place | undefined {
  if (selection === null) return undefined
  let known = lastPlace.get(session.site)
  if (known?.id !== selection) lastPlace.set(session.site, (known = { id: selection, place: findBlock(session.site, selection) }))
  return known.place
}

const chosenIds = ({ selection, also }: SessionState): string[] => (selection === null ? [] : [...also, selection])

const lastPlaces = new WeakMap<Site, { selection: string | null; also: readonly string[]; places: readonly Place[] }>()

/** All selected blocks, the one picked last at the end; the same list as long as the site and the selection are the same. */
export function allSelected(state: SessionState): readonly Place[] {
  const { session, selection, also } = state
  const known = lastPlaces.get(session.site)
  if (known && known.selection === selection && known.also === also) return known.places
  const places = chosenIds(state).flatMap((id) => findBlock(session.site, id) ?? [])
  lastPlaces.set(session.site, { selection, also, places })
  return places
}

/** The innermost block at a press that is not locked, nor in one that is; nothing where there is none. */
export function pressable({ session }: SessionState, id: string | undefined): string | undefined {
  const place = id === undefined ? undefined : findBlock(session.site, id)
  if (!place) return undefined
  const chain: readonly Block[] = [...place.ancestors, place.block]
  const locked = chain.findIndex((one) => one.locked)
  return (locked < 0 ? place.block : chain[locked - 1])?.id
}

/** Selects one block, or none. */
export function select(store: SessionStore, id: string | null): void {
  store.setState({ selection: id, also: NONE, words: null, fillLayer: null, cropping: null, tried: null, motionAt: 0 })
}

/** Selects several blocks; the last of them leads. */
export function selectMany(store: SessionStore, ids: readonly string[]): void {
  const all = [...new Set(ids)]
  store.setState({
    selection: all.at(-1) ?? null,
    also: all.length > 1 ? all.slice(0, -1) : NONE,
    words: null,
    fillLayer: null,
    cropping: null,
    tried: null,
    motionAt: 0,
  })
}

/** Adds a block to the selection, or takes it out. */
export function toggleSelected(store: SessionStore, id: string): void {
  const chosen = chosenIds(store.getState())
  selectMany(store, chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])
}
