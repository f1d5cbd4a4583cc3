import { and, desc, eq, gt, isNull, lt } from 'drizzle-orm'
import { nanoid } from 'nanoid'
import { applyEdit, type Edit } from '#core/edits/index'
import { EditError } from '#core/edits/edit'
import { checkSite } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import type { Store } from './database'
import { edits, sites } from './schema'

/** A site that is not there, or no longer. */
export class MissingError extends Error {
  override name = 'MissingError'
}

export type SiteRecord = {
  id: string
  revision: number
  site: Site
  updatedAt: Date
  exportedRevision: number | null
}

/** Sites as they were last read or written, so that an edit does not parse the document again. */
const cache = new WeakMap<Store, Map<string, { revision: number; site: Site }>>()

function cached(store: Store): Map<string, { revision: number; site: Site }> {
  let map = cache.get(store)
  if (!map) cache.set(store, (map = new Map()))
  return map
}

type Row = typeof sites.$inferSelect

function toRecord(store: Store, row: Row): SiteRecord {
  const known = cached(store).get(row.id)
  const site = known?.revision === row.revision ? known.site : checkSite(JSON.parse(row.document))
  cached(store).set(row.id, { revision: row.revision, site })
  return {
    id: row.id,
    revision: row.revision,
    site,
    updatedAt: row.updatedAt,
    exportedRevision: row.exportedRevision,
  }
}

/** All sites, the one that was edited last first. */
export function listSites(store: Store): SiteRecord[] {
  const rows = store.db.select().from(sites).where(isNull(sites.deletedAt)).orderBy(desc(sites.updatedAt)).all()
  return rows.map((row) => toRecord(store, row))
}

/** @throws MissingError */
export function getSite(store: Store, id: string): SiteRecord {
  const row = store.db
    .select()
    .from(sites)
    .where(and(eq(sites.id, id), isNull(sites.deletedAt)))
    .get()
  if (!row) throw new MissingError('This site does not exist, or it was deleted.')
  return toRecord(store, row)
}

/** Keeps a new site and returns its id. */
export function createSite(store: Store, site: Site): string {
  const id = nanoid(10)
  const now = new Date()
  store.db
    .insert(sites)
    .values({ id, revision: 0, document: JSON.stringify(site), createdAt: now, updatedAt: now })
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
export function forgetDeleted(store: Store): void {
  store.db
    .delete(sites)
    .where(lt(sites.deletedAt, new Date(Date.now() - KEPT)))
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

/**
 * Saves edits that were made on top of revision `base`, in one transaction. A client that does not know the newest
 * revision gets the edits that it missed, and nothing is saved. An edit that no longer applies is refused by name;
 * one whose key is known is not applied again.
 * @throws MissingError
 */
export function saveEdits(store: Store, id: string, base: number, incoming: readonly KeyedEdit[]): SaveResult {
  return store.db.transaction(
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
          site = applyEdit(site, edit).site
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
        tx.update(sites)
          .set({ revision, document: JSON.stringify(site), updatedAt: now })
          .where(eq(sites.id, id))
          .run()
        cached(store).set(id, { revision, site })
      }
      return { status: 'saved', revision, refused }
    },
    { behavior: 'immediate' },
  )
}
