import type { News, Present, WorkingAt } from '#core/values/company'

type Listener = (news: News) => void
/** Who listens: the address that he listens from, and what ends it. */
type Heard = { from: string; end: () => void }
type Room = { listeners: Map<Listener, Heard>; present: Map<string, WorkingAt & { at: number }> }

const rooms = new Map<string, Room>()

/** How long somebody counts as present who says nothing more, ms; screens say where they are more often. */
export const PRESENT_FOR = 45_000
/** Most listeners and most who are present, of one site. */
const MOST = 200
/** Most listeners of one site from one address: a browser has one for all its tabs, or one for each where it has no locks. */
const MOST_FROM = 32

function roomOf(site: string): Room {
  let room = rooms.get(site)
  if (!room) rooms.set(site, (room = { listeners: new Map(), present: new Map() }))
  return room
}

function tell(site: string, news: News): void {
  const listeners = rooms.get(site)?.listeners
  for (const listener of listeners?.keys() ?? []) {
    try {
      listener(news)
    } catch {
      // Its connection is gone. What the news are of has been kept, and the others are to hear of it.
      listeners!.delete(listener)
    }
  }
}

/** Tells all who have a site open of its newest revision. */
export const announceRevision = (site: string, revision: number): void => tell(site, { kind: 'revision', revision })

/** Who is present on a site, and where; those who have said nothing for long are forgotten. */
export function whoIsPresent(site: string, now: number): Present[] {
  const { present } = roomOf(site)
  for (const [tab, { at }] of present) if (at < now - PRESENT_FOR || at > now + PRESENT_FOR) present.delete(tab)
  return [...present].map(([tab, { page, block }]) => ({ tab, page, block }))
}

/** How long news of who is present are gathered, ms: two hundred who leave at once are told of once. */
const GATHERED = 50
/** Sites of which such news are gathered, with the time of the last. */
const gathering = new Map<string, number>()

function tellPresent(site: string, now: number): void {
  const waits = gathering.has(site)
  gathering.set(site, now)
  if (waits) return
  setTimeout(() => {
    const last = gathering.get(site)!
    gathering.delete(site)
    if (rooms.has(site)) tell(site, { kind: 'present', present: whoIsPresent(site, last) })
  }, GATHERED).unref()
}

/** Takes note of where somebody works, or with `null` that nobody does any more, and tells the others soon. */
export function workAt(site: string, tab: string, place: WorkingAt | null, now: number): void {
  const { present } = roomOf(site)
  const before = present.get(tab)
  if (place === null) present.delete(tab)
  else if (before || present.size < MOST) present.set(tab, { ...place, at: now })
  if (before?.page === place?.page && before?.block === place?.block && before) return
  tellPresent(site, now)
}

let stopping = false

/** Ends all that is heard when the server is told to stop: it waits for its open connections, and these never end by themselves. */
function endWithServer(): void {
  if (stopping) return
  stopping = true
  const endAll = () => {
    for (const { listeners } of rooms.values()) for (const { end } of listeners.values()) end()
    stopping = false
  }
  process.once('SIGTERM', endAll)
  process.once('SIGINT', endAll)
}

/**
 * Hears the news of a site from now on.
 * @param from the address that listens, of which a site hears no more than 32
 * @param end is called when the server stops
 * @returns what ends it; `undefined` if too many hear it already
 */
export function listen(
  site: string,
  listener: Listener,
  from: string,
  end: () => void = () => undefined,
): (() => void) | undefined {
  endWithServer()
  const room = roomOf(site)
  const { listeners } = room
  if (listeners.size >= MOST || [...listeners.values()].filter((one) => one.from === from).length >= MOST_FROM) return undefined
  listeners.set(listener, { from, end })
  return () => {
    listeners.delete(listener)
    if (listeners.size === 0 && rooms.get(site) === room) rooms.delete(site)
  }
}
