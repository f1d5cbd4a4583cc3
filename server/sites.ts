import { and, desc, eq, gt, isNull, lt, sql } from 'drizzle-orm'
import { freeze } from 'immer'
import { nanoid } from 'nanoid'
import { applyEdit, type Edit } from '#core/edits/index'
import { EditError } from '#core/edits/edit'
import { documentLength } from '#core/formats/document-size'
import { checkSite, FormatError, MAX_DOCUMENT } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import { announceRevision } from './company'
import type { Store } from './database'
import { type Known, knownSites } from './known'
import { edits, sites } from './schema'

/** A site that is not there, or no longer. */
export class MissingError extends Error {
  override name = 'MissingError'
}

/** A site whose document, as it is on the disk, is not one: it cannot be shown, only taken out or brought back to a revision before. */
export class UnreadableError extends Error {
  override name = 'UnreadableError'
}

export type SiteRecord = {
  id: string
  revision: number
  site: Site
  updatedAt: Date
  exportedRevision: number | null
}

/** All of a site but its document, which is read only when it is not known: what an edit costs must not grow with it. */
const HEAD = {
  id: sites.id,
  revision: sites.revision,
  documentRevision: sites.documentRevision,
  updatedAt: sites.updatedAt,
  exportedRevision: sites.exportedRevision,
  goodRevision: sites.goodRevision,
}
export type Head = Pick<typeof sites.$inferSelect, keyof typeof HEAD>

/** A site's document as it is on the disk. */
export const documentOf = (store: Store, id: string): string =>
  store.db.select({ document: sites.document }).from(sites).where(eq(sites.id, id)).get()!.document

/** A written document with the edits since. @throws EditError */
export const withEdits = (store: Store, { id, documentRevision }: Head, written: Site): Site =>
  editsSince(store, id, documentRevision).reduce((before, { edit }) => applyEdit(before, edit).site, written)

/** Keeps a site that was read: what has been read whole and found valid is kept beside it, to return to. */
export function keepRead(store: Store, { id, revision, documentRevision, goodRevision }: Head, document: string, site: Site): void {
  if (goodRevision !== documentRevision)
    store.db.update(sites).set({ goodDocument: document, goodRevision: documentRevision }).where(eq(sites.id, id)).run()
  knownSites(store).set(id, { revision, site, length: document.length })
}

/**
 * Reads a site at its newest revision.
 * @throws UnreadableError
 */
function readHere(store: Store, head: Head): Site {
  try {
    const document = documentOf(store, head.id)
    const site = freeze(withEdits(store, head, checkSite(JSON.parse(document))), true)
    keepRead(store, head, document, site)
    return site
  } catch (error) {
    if (!(error instanceof FormatError || error instanceof EditError || error instanceof SyntaxError)) throw error
    throw new UnreadableError(`This site cannot be read. ${error.message}`)
  }
}

function toRecord(store: Store, head: Head): SiteRecord {
  const { id, revision, updatedAt, exportedRevision } = head
  const known = knownSites(store).get(id)
  const site = known?.revision === revision ? known.site : readHere(store, head)
  return { id, revision, site, updatedAt, exportedRevision }
}

/** Ids of all sites that were not deleted, the one that was edited last first. */
export const siteIds = (store: Store): string[] =>
  store.db
    .select({ id: sites.id })
    .from(sites)
    .where(isNull(sites.deletedAt))
    .orderBy(desc(sites.updatedAt))
    .all()
    .map(({ id }) => id)

/** Every request asks for one of these, so its SQL is made once. */
const prepareHead = (store: Store) =>
  store.db
    .select(HEAD)
    .from(sites)
    .where(and(eq(sites.id, sql.placeholder('id')), isNull(sites.deletedAt)))
    .prepare()
const heads = new WeakMap<Store, ReturnType<typeof prepareHead>>()

/** All of a site but its document; nothing for one that does not exist or was deleted. */
export function findHead(store: Store, id: string): Head | undefined {
  let prepared = heads.get(store)
  if (!prepared) heads.set(store, (prepared = prepareHead(store)))
  return prepared.get({ id })
}

/** @throws MissingError */
export function headOf(store: Store, id: string): Head {
  const head = findHead(store, id)
  if (!head) throw new MissingError('This site does not exist, or it was deleted.')
  return head
}

/**
 * A site at its newest revision. One that is not known is read here and now, which for a large one takes seconds:
 * requests have it read ahead.
 * @throws MissingError, UnreadableError
 */
export const getSite = (store: Store, id: string): SiteRecord => toRecord(store, headOf(store, id))

/** Has a site read from the disk again when it is next asked for. */
export const forgetKnown = (store: Store, id: string): void => void knownSites(store).delete(id)

/** Edits after which the document is written anew at once; fewer wait until nothing has been edited for a while. */
const MOST_BEHIND = 500
/** How long nothing must be edited before the document is written, ms. */
const REST = 2000

const waiting = new WeakMap<Store, Map<string, NodeJS.Timeout>>()

/** Writes a site's document as it stands, so that a server which starts anew has few edits to make again. */
function writeDocument(store: Store, id: string): void {
  const known = knownSites(store).get(id)
  if (!known) return
  const document = JSON.stringify(known.site)
  knownSites(store).set(id, { ...known, length: document.length })
  store.db
    .update(sites)
    .set({ document, documentRevision: known.revision })
    .where(and(eq(sites.id, id), eq(sites.revision, known.revision)))
    .run()
}

/** Has the document written once nothing is edited for a while. The edits are in the log, so nothing hangs on it. */
function writeLater(store: Store, id: string): void {
  let timers = waiting.get(store)
  if (!timers) waiting.set(store, (timers = new Map()))
  clearTimeout(timers.get(id))
  const timer = setTimeout(() => {
    timers.delete(id)
    if (store.isOpen()) writeDocument(store, id)
  }, REST)
  timer.unref()
  timers.set(id, timer)
}

/** Keeps a new site and returns its id. */
export const createSite = (store: Store, site: Site): string => keepSite(store, JSON.stringify(site))

/** Keeps a new site, which has been checked, as the text of its document; returns its id. */
export function keepSite(store: Store, document: string): string {
  const id = nanoid(10)
  const now = new Date()
  store.db
    .insert(sites)
    .values({ id, revision: 0, document, goodDocument: document, goodRevision: 0, createdAt: now, updatedAt: now })
    .run()
  return id
}

/** Deletes a site, or brings a deleted one back. */
export function setDeleted(store: Store, id: string, deleted: boolean): void {
  const result = store.db
    .update(sites)
    .set({ deletedAt: deleted ? new Date() : null })
    .where(eq(sites.id, id))
    .run()
  if (result.changes === 0) throw new MissingError('This site does not exist.')
}

/** How long a deleted site can be brought back, ms. */
const KEPT = 30 * 24 * 60 * 60 * 1000

/** Forgets sites that were deleted more than 30 days ago. */
export function forgetDeleted(store: Store, now = Date.now()): void {
  store.db
    .delete(sites)
    .where(lt(sites.deletedAt, new Date(now - KEPT)))
    .run()
}

export function markExported(store: Store, id: string, revision: number): void {
  store.db.update(sites).set({ exportedRevision: revision }).where(eq(sites.id, id)).run()
}

export type KeyedEdit = { key: string; edit: Edit }
export type LoggedEdit = KeyedEdit & { revision: number }

/** What became of a save: all up to `revision` is on the disk, except what was refused; or the client was behind. */
export type SaveResult =
  | { status: 'saved'; revision: number; refused: { key: string; reason: string }[] }
  | { status: 'behind'; revision: number; missed: LoggedEdit[] }

/** Edits after a revision, oldest first. */
export function editsSince(store: Store, id: string, revision: number): LoggedEdit[] {
  const rows = store.db
    .select()
    .from(edits)
    .where(and(eq(edits.site, id), gt(edits.revision, revision)))
    .orderBy(edits.revision)
    .all()
  return rows.map((row) => ({ revision: row.revision, key: row.key, edit: JSON.parse(row.edit) as Edit }))
}

/** Most that edits may make of a site, characters of its file: half a megabyte less than what is opened. */
const MOST_GROWN = MAX_DOCUMENT - 512 * 1024

/** True for an edit that takes something out: what stood there may be kept as words without a place, which takes a little room. */
const takesOut = (edit: Edit): boolean =>
  edit.kind === 'batch' ? edit.edits.every(takesOut) : edit.kind === 'remove' || edit.kind === 'page-remove'

/** A site that has grown past what its own file may have could not be opened again. @throws EditError */
function checkLength(next: Site, before: Site, edit: Edit): void {
  const length = documentLength(next)
  if (length > MOST_GROWN && length > documentLength(before) && !takesOut(edit))
    throw new EditError(
      'The site would weigh 20 MB, and no site file may weigh more. Take out what is not needed, also among the words without a place, or begin another site.',
    )
}

/**
 * Saves edits that were made on top of revision `base`, in one transaction. A client that does not know the newest
 * revision gets the edits that it missed, and nothing is saved. An edit that no longer applies is refused by name;
 * one whose key is known is not applied again. Only the edits are written, whatever the size of the site.
 * @throws MissingError
 */
export function saveEdits(store: Store, id: string, base: number, incoming: readonly KeyedEdit[]): SaveResult {
  const head = headOf(store, id)
  let saved: Known | undefined
  const result = store.db.transaction(
    (tx): SaveResult => {
      const record = getSite(store, id)
      const missed = editsSince(store, id, base)
      if (missed.length > 0 || base > record.revision) return { status: 'behind', revision: record.revision, missed }
      let { site, revision } = record
      const refused: { key: string; reason: string }[] = []
      const now = new Date()
      for (const { key, edit } of incoming) {
        const known = tx
          .select({ revision: edits.revision })
          .from(edits)
          .where(and(eq(edits.site, id), eq(edits.key, key)))
          .get()
        if (known) continue
        try {
          const { site: next } = applyEdit(site, edit)
          checkLength(next, site, edit)
          site = next
        } catch (error) {
          if (!(error instanceof EditError)) throw error
          refused.push({ key, reason: error.message })
          continue
        }
        revision++
        tx.insert(edits)
          .values({ site: id, revision, key, edit: JSON.stringify(edit), createdAt: now })
          .run()
      }
      if (revision > record.revision) {
        tx.update(sites).set({ revision, updatedAt: now }).where(eq(sites.id, id)).run()
        // Its length is counted anew when it is written; a cache takes none of 0.
        saved = { revision, site, length: knownSites(store).get(id)?.length ?? 1 }
      }
      return { status: 'saved', revision, refused }
    },
    { behavior: 'immediate' },
  )
  if (saved) {
    // Only what has been committed is known.
    knownSites(store).set(id, saved)
    announceRevision(id, saved.revision)
    if (saved.revision - head.documentRevision >= MOST_BEHIND) writeDocument(store, id)
    else writeLater(store, id)
  }
  return result
}
