import { LRUCache } from 'lru-cache'
import type { Site } from '#core/site/schema'
import type { Store } from './database'

/** A site as it was last read or written, and the characters of its document when that was last read or written. */
export type Known = { revision: number; site: Site; length: number }

/** Most that is held of sites, characters of their documents: two of the largest, or some hundred of a usual size. */
const MOST_HELD = 48 * 1024 * 1024

const held = new WeakMap<Store, LRUCache<string, Known>>()

/** Sites as they were last read or written, so that an edit does not parse the document again; what was used longest ago goes first. */
export function knownSites(store: Store): LRUCache<string, Known> {
  let sites = held.get(store)
  if (!sites) held.set(store, (sites = new LRUCache({ maxSize: MOST_HELD, sizeCalculation: ({ length }) => length })))
  return sites
}
