import { walkPage } from '#core/site/tree'
import type { Store } from './database'
import { readAhead } from './read-ahead'
import { findHead, getSite, siteIds, UnreadableError } from './sites'

/** What a list says of a site. */
export type Listed = {
  id: string
  name: string
  revision: number
  updatedAt: Date
  exportedRevision: number | null
  pages: number
  /** Sections of its first page. */
  sections: number
  blocks: number
}

/** A site that cannot be read. */
export type Unreadable = { id: string; problem: string; revision: number; updatedAt: Date }

type Counts = Pick<Listed, 'name' | 'revision' | 'pages' | 'sections' | 'blocks'>
/** What was counted of each site, since a list of many is asked for more often than all of them are read. */
const counted = new WeakMap<Store, Map<string, Counts>>()

async function countsOf(store: Store, id: string, revision: number): Promise<Counts> {
  let counts = counted.get(store)
  if (!counts) counted.set(store, (counts = new Map()))
  const before = counts.get(id)
  if (before?.revision === revision) return before
  await readAhead(store, id)
  const { site, revision: newest } = getSite(store, id)
  const now = {
    name: site.name,
    revision: newest,
    pages: site.pages.length,
    sections: site.pages[0]!.sections.length,
    blocks: site.pages.reduce((sum, page) => sum + [...walkPage(page)].length, 0),
  }
  counts.set(id, now)
  return now
}

/** All sites, the one that was edited last first, and those that cannot be read. What has to be read first is read in threads. */
export async function listSites(store: Store): Promise<{ sites: Listed[]; unreadable: Unreadable[] }> {
  const sites: Listed[] = []
  const unreadable: Unreadable[] = []
  for (const id of siteIds(store)) {
    const head = findHead(store, id)
    if (!head) continue
    const { revision, updatedAt, exportedRevision } = head
    try {
      sites.push({ id, updatedAt, exportedRevision, ...(await countsOf(store, id, revision)) })
    } catch (error) {
      if (!(error instanceof UnreadableError)) throw error
      unreadable.push({ id, problem: error.message, revision, updatedAt })
    }
  }
  return { sites, unreadable }
}
