import type { News, Present } from '#core/values/company'
import { makeId, type SessionStore } from './store'

/** How often a screen says where it is when nothing changes, ms. */
const AGAIN = 20_000
/** How long a selection must rest before the others are told of it, ms. */
const REST = 400

/** Does something while this tab is the one of the browser that does it; in a tab at a time, as soon as it can. */
function asOnlyTab(name: string, work: () => () => void): () => void {
  let stop: (() => void) | undefined
  let ended = false
  // Without locks, as over plain HTTP from another machine, every tab does it for itself.
  if (!('locks' in navigator)) {
    stop = work()
    return () => stop?.()
  }
  let release: () => void = () => undefined
  const asked = new AbortController()
  navigator.locks
    .request(name, { signal: asked.signal }, () => {
      if (ended) return undefined
      stop = work()
      return new Promise<void>((resolve) => (release = resolve))
    })
    .catch(() => undefined)
  return () => {
    ended = true
    asked.abort()
    stop?.()
    release()
  }
}

/**
 * Keeps a screen in touch with all others of its site: hears of new revisions at once, says where it works, and knows
 * where the others do. One tab of a browser holds the connection and hands on what it hears, since browsers allow few.
 * @returns a function that ends it
 */
export function keepCompany(store: SessionStore): () => void {
  const { siteId } = store.getState()
  const tab = makeId()
  const url = `/sites/${siteId}/company`
  // Revisions go the way that tabs tell each other of their own.
  const revisions = new BroadcastChannel(`yarrowfinch.${siteId}`)
  const company = new BroadcastChannel(`yarrowfinch.${siteId}.company`)
  const take = (present: Present[]) => store.setState({ others: present.filter((one) => one.tab !== tab) })
  company.onmessage = (event: MessageEvent<Present[]>) => take(event.data)

  const disconnect = asOnlyTab(`yarrowfinch.${siteId}.company`, () => {
    const source = new EventSource(`${url}?tab=${tab}`)
    // Where a connection broke, this tab was taken for gone.
    source.onopen = () => sayWhere()
    source.onmessage = (event: MessageEvent<string>) => {
      const news = JSON.parse(event.data) as News
      if (news.kind === 'revision') return revisions.postMessage(news.revision)
      take(news.present)
      company.postMessage(news.present)
    }
    return () => source.close()
  })

  const say = (place: { page: string; block: string | null } | null) =>
    void fetch(url, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      keepalive: true,
      body: JSON.stringify({ tab, place }),
    }).catch(() => undefined)
  const sayWhere = () => {
    const { pageId, selection } = store.getState()
    if (document.visibilityState === 'visible') say({ page: pageId, block: selection })
  }
  const leave = () => say(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  const unsubscribe = store.subscribe((state, before) => {
    if (state.selection === before.selection && state.pageId === before.pageId) return
    clearTimeout(timer)
    timer = setTimeout(sayWhere, REST)
  })
  const again = setInterval(sayWhere, AGAIN)
  window.addEventListener('pagehide', leave)
  document.addEventListener('visibilitychange', sayWhere)
  sayWhere()
  return () => {
    clearTimeout(timer)
    clearInterval(again)
    unsubscribe()
    disconnect()
    window.removeEventListener('pagehide', leave)
    document.removeEventListener('visibilitychange', sayWhere)
    leave()
    revisions.close()
    company.close()
  }
}
