import { and, eq, gt } from 'drizzle-orm'
import { applyEdit } from '#core/edits/index'
import { checkSite } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import type { Store } from './database'
import { edits, sites } from './schema'
import { editsSince, forgetKnown, headOf, MissingError } from './sites'

function checked(document: string | null): Site | undefined {
  try {
    return document === null ? undefined : checkSite(JSON.parse(document))
  } catch {
    return undefined
  }
}

/** The newest revision of a site that is valid, by its documents that were valid and the log of its edits. */
export function lastGood(store: Store, id: string): { revision: number; site: Site } | null {
  const row = store.db
    .select({
      document: sites.document,
      documentRevision: sites.documentRevision,
      goodDocument: sites.goodDocument,
      goodRevision: sites.goodRevision,
    })
    .from(sites)
    .where(eq(sites.id, id))
    .get()
  const written = row && checked(row.document)
  let site = written ?? (row && checked(row.goodDocument))
  if (!row || !site) return null
  let revision = written ? row.documentRevision : row.goodRevision!
  for (const { revision: next, edit } of editsSince(store, id, revision)) {
    try {
      site = applyEdit(site, edit).site
    } catch {
      break
    }
    revision = next
  }
  return { revision, site }
}

/**
 * Brings a site that cannot be read back to the newest revision that can; the edits after it are given up.
 * @throws MissingError if there is no such site or revision
 */
export function returnToGood(store: Store, id: string): void {
  headOf(store, id)
  const good = lastGood(store, id)
  if (!good) throw new MissingError('No revision of this site can be read. Its file can still be taken out.')
  const { revision } = good
  const document = JSON.stringify(good.site)
  store.db.transaction(
    (tx) => {
      tx.delete(edits)
        .where(and(eq(edits.site, id), gt(edits.revision, revision)))
        .run()
      tx.update(sites)
        .set({
          revision,
          document,
          documentRevision: revision,
          goodDocument: document,
          goodRevision: revision,
          updatedAt: new Date(),
        })
        .where(eq(sites.id, id))
        .run()
    },
    { behavior: 'immediate' },
  )
  forgetKnown(store, id)
}

/** All that is kept of a site, as it is on the disk, for one that cannot be read. @throws MissingError */
export function rawSite(store: Store, id: string): string {
  headOf(store, id)
  const row = store.db.select().from(sites).where(eq(sites.id, id)).get()!
  const log = store.db.select().from(edits).where(eq(edits.site, id)).orderBy(edits.revision).all()
  return JSON.stringify({ site: row, edits: log }, null, 2)
}
