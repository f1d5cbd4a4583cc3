import { freeze } from 'immer'
import { EditError } from '#core/edits/edit'
import { FormatError } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import type { Store } from './database'
import { knownSites } from './known'
import { documentOf, findHead, type Head, keepRead, withEdits } from './sites'
import { inThread } from './threads/pool'

/** How long a document may take to be checked, ms; the largest takes some seconds. */
const PATIENCE = 120_000

const reading = new WeakMap<Store, Map<string, Promise<void>>>()

const isKnown = (store: Store, head: Head | undefined): boolean =>
  !head || knownSites(store).get(head.id)?.revision === head.revision

/** Checks a document in a thread, and keeps what it says beside the others that are known. */
async function read(store: Store, head: Head): Promise<void> {
  try {
    const document = documentOf(store, head.id)
    const checked = JSON.parse(await inThread(head.id, 'check-document', document, { ms: PATIENCE })) as Site
    const now = store.isOpen() ? findHead(store, head.id) : undefined
    // What was written meanwhile is read by whoever asks next.
    if (!now || isKnown(store, now) || now.documentRevision !== head.documentRevision) return
    keepRead(store, now, document, freeze(withEdits(store, now, checked), true))
  } catch (error) {
    // Whoever asks for the site is told what is wrong with it.
    if (!(error instanceof FormatError || error instanceof EditError)) throw error
  }
}

/**
 * Has a site read before it is asked for, its document checked in a thread: that takes seconds for a large one, in which
 * nobody else shall wait. A site that is known, cannot be read or does not exist is left as it is.
 */
export async function readAhead(store: Store, id: string): Promise<void> {
  const head = findHead(store, id)
  if (!head || isKnown(store, head)) return
  let under = reading.get(store)
  if (!under) reading.set(store, (under = new Map()))
  const before = under.get(id)
  if (before) return before
  const promise = read(store, head).finally(() => under.delete(id))
  under.set(id, promise)
  return promise
}
