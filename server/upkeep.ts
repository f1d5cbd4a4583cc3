import { and, eq, gt } from 'drizzle-orm'
import { existsSync } from 'node:fs'
import { readdir, rm, stat, utimes } from 'node:fs/promises'
import { join } from 'node:path'
import { HOLDING_KINDS } from '#core/formats/holdings'
import type { Store } from './database'
import { edits, pictures, sites } from './schema'
import { forgetDeleted } from './sites'

/** How long what no site uses is kept, ms: as long as a deleted site can be brought back. */
const KEPT = 30 * 24 * 60 * 60 * 1000

/** What sites hold, and what is made of it. */
const FOLDERS = [...HOLDING_KINDS, 'derivatives'] as const

/** What upkeep did. */
export type Upkeep = { drafts: number; unused: number }

/**
 * The hashes that any site names, also one that was deleted and can be brought back, or that cannot be read: whatever
 * looks like one in its documents, or in an edit that is not in them yet.
 */
function namedHashes(store: Store): Set<string> {
  const found = new Set<string>()
  const look = (text: string | null) => {
    for (const [hash] of (text ?? '').matchAll(/\b[0-9a-f]{64}\b/g)) found.add(hash)
  }
  const ids = store.db.select({ id: sites.id, written: sites.documentRevision }).from(sites).all()
  for (const { id, written } of ids) {
    const row = store.db.select({ document: sites.document, good: sites.goodDocument }).from(sites).where(eq(sites.id, id)).get()
    look(row?.document ?? null)
    look(row?.good ?? null)
    const log = store.db
      .select({ edit: edits.edit })
      .from(edits)
      .where(and(eq(edits.site, id), gt(edits.revision, written)))
      .all()
    for (const { edit } of log) look(edit)
  }
  return found
}

/**
 * Takes out what is left of writes that were cut off, and what no site has used for 30 days of all that sites hold. The
 * time of a file is when it was last seen in use.
 */
export async function keepUp(store: Store, now = Date.now()): Promise<Upkeep> {
  forgetDeleted(store, now)
  const named = namedHashes(store)
  const done: Upkeep = { drafts: 0, unused: 0 }
  for (const folder of FOLDERS) {
    const path = join(store.folder, folder)
    if (!existsSync(path)) continue
    for (const name of await readdir(path)) {
      const file = join(path, name)
      if (name.startsWith('.')) {
        // One that is being written now is younger than this.
        if ((await stat(file)).mtimeMs > now - 60_000) continue
        await rm(file, { force: true })
        done.drafts++
        continue
      }
      const hash = name.slice(0, 64)
      if (named.has(hash)) {
        await utimes(file, new Date(now), new Date(now))
        continue
      }
      if ((await stat(file)).mtimeMs > now - KEPT) continue
      await rm(file, { force: true })
      if (folder === 'pictures') store.db.delete(pictures).where(eq(pictures.hash, hash)).run()
      done.unused++
    }
  }
  return done
}

const DAY = 24 * 60 * 60 * 1000

/** Says what the start of a server found and did, and does the same once a day. */
export function startUpkeep(store: Store): void {
  const pass = () => {
    if (!store.isOpen()) return
    keepUp(store)
      .then(({ drafts, unused }) => {
        if (drafts > 0)
          console.log(`Upkeep: ${drafts} files were left half written by a server that was ended; they are taken out.`)
        if (unused > 0) console.log(`Upkeep: ${unused} pictures, fonts and files that no site has used for 30 days are taken out.`)
      })
      // What is not done today is done tomorrow; a full disk or a lock must not stop the server.
      .catch((error: unknown) => console.error('Upkeep could not be done.', error))
  }
  pass()
  setInterval(pass, DAY).unref()
}
