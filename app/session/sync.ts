import type { Edit } from '#core/edits/index'
import type { PendingEdit } from '#core/edits/session'
import { type SessionStore, settleSent, takeIn } from './store'

type Missed = { key: string; edit: Edit; revision: number }[]
type Answer =
  | { status: 'saved'; revision: number; refused: { key: string; reason: string }[] }
  | { status: 'behind'; revision: number; missed: Missed }
  | { problem: string }

/** Edits of one tab that the server has not acknowledged, kept over a reload. */
const keptUnder = (siteId: string) => `yarrowfinch.unsent.${siteId}`

/** The server is there, and could not do what it was asked. */
class ServerFailure extends Error {}

/** Time from an edit to its being sent, ms: past the frame that shows it, since what is seen comes first. */
const PAUSE = 40

/** Most edits that are sent at once, and most characters of them; the server takes 8 MB. */
const MOST = { edits: 200, characters: 4_000_000 }

/** The first of the edits that wait, as many as one request takes; one at least. */
function fitting(pending: readonly PendingEdit[]): PendingEdit[] {
  let [count, length] = [0, 0]
  for (const { edit } of pending.slice(0, MOST.edits)) {
    length += JSON.stringify(edit).length
    if (count > 0 && length > MOST.characters) break
    count++
  }
  return pending.slice(0, count)
}

/** What a server that failed says of it. */
async function sentenceOf(response: Response): Promise<string> {
  const answer = (await response.json().catch(() => null)) as { problem?: string } | null
  return answer?.problem ?? `The server failed (${response.status}).`
}

const RETRY = [500, 1000, 2000, 5000, 10_000]

/**
 * Sends a store's edits to the server as they are made, one request at a time, and takes in those of other tabs.
 * A lost connection changes nothing but the time: edits wait, are tried again, and survive a reload.
 * @returns a function that stops it
 */
export function startSync(store: SessionStore): () => void {
  const { siteId } = store.getState()
  const channel = new BroadcastChannel(`yarrowfinch.${siteId}`)
  let stopped = false
  let failures = 0
  let timer: ReturnType<typeof setTimeout> | undefined

  async function send(): Promise<void> {
    clearTimeout(timer)
    const { session, sending, save } = store.getState()
    if (stopped || sending.size > 0 || session.pending.length === 0) return
    const batch = fitting(session.pending)
    const keys = batch.map((one) => one.key)
    store.setState({ sending: new Set(keys), save: save.kind === 'waiting' ? save : { kind: 'saving' } })
    try {
      const response = await fetch(`/sites/${siteId}/edits`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          base: session.revision,
          edits: batch.map(({ key, edit }) => ({ key, edit })),
        }),
      })
      if (response.status >= 500) throw new ServerFailure(await sentenceOf(response))
      accept(keys, (await response.json()) as Answer)
      failures = 0
    } catch (error) {
      failures++
      store.setState({ sending: new Set() })
      // What was on its way may have been refused or taken back in the meantime.
      if (store.getState().session.pending.length === 0) return rest()
      const why = error instanceof ServerFailure ? error.message : 'The server cannot be reached.'
      store.setState({
        save: {
          kind: 'waiting',
          why: `${why} Edits wait here and are sent when it answers.`,
        },
      })
      timer = setTimeout(() => void send(), RETRY[Math.min(failures, RETRY.length) - 1])
      return
    }
    remember()
    void send()
  }

  function accept(keys: string[], answer: Answer): void {
    store.setState({ sending: new Set() })
    if ('problem' in answer) {
      const { session } = store.getState()
      settleSent(
        store,
        keys,
        session.revision,
        keys.map((key) => ({ key, reason: answer.problem })),
      )
    } else if (answer.status === 'behind') {
      takeIn(store, answer.missed, answer.revision)
    } else {
      settleSent(store, keys, answer.revision, answer.refused)
      channel.postMessage(answer.revision)
    }
    rest()
  }

  /** Says that all is saved, once nothing waits. */
  function rest(): void {
    if (store.getState().session.pending.length > 0) return
    store.setState({ save: { kind: 'saved', at: new Date() } })
  }

  /** Sends what waits without waiting for the answer, as the screen is left. What fails is kept for its return. */
  function flush(): void {
    const { session, sending } = store.getState()
    if (sending.size > 0 || session.pending.length === 0) return
    const edits = session.pending.map(({ key, edit }) => ({ key, edit }))
    const body = JSON.stringify({ base: session.revision, edits })
    fetch(`/sites/${siteId}/edits`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      keepalive: true,
      body,
    }).catch(() => undefined)
  }

  /** Asks for edits made elsewhere. */
  async function pull(): Promise<void> {
    const { session, sending } = store.getState()
    if (stopped || sending.size > 0) return
    try {
      const response = await fetch(`/sites/${siteId}/edits?since=${session.revision}`)
      if (!response.ok) return
      const { revision, missed } = (await response.json()) as { revision: number; missed: Missed }
      const now = store.getState()
      // Edits that went on their way since are told themselves what they missed.
      if (missed.length === 0 || now.sending.size > 0 || now.session.revision !== session.revision) return
      takeIn(store, missed, revision)
      rest()
    } catch {
      // No connection: the next save or the next look at this tab asks again.
    }
  }

  function remember(): void {
    const { pending, revision } = store.getState().session
    try {
      if (pending.length === 0) sessionStorage.removeItem(keptUnder(siteId))
      else sessionStorage.setItem(keptUnder(siteId), JSON.stringify({ revision, pending }))
    } catch {
      // A full or forbidden storage keeps nothing over a reload; the edits still wait in this tab.
    }
  }

  /** Brings back what waited before a reload, less what the server has kept in the meantime. */
  async function recall(): Promise<void> {
    const kept = sessionStorage.getItem(keptUnder(siteId))
    if (!kept) return
    const { revision, pending } = JSON.parse(kept) as { revision: number; pending: PendingEdit[] }
    const response = await fetch(`/sites/${siteId}/edits?since=${revision}`)
    const { revision: newest, missed } = (await response.json()) as { revision: number; missed: Missed }
    const known = new Set(missed.map((one) => one.key))
    const { session } = store.getState()
    const waiting = pending.filter((one) => !known.has(one.key))
    store.setState({ session: { ...session, pending: [...waiting, ...session.pending] } })
    // What was saved after this page was loaded is taken in as well, this tab's own last edits among it.
    takeIn(
      store,
      missed.filter((one) => one.revision > session.revision),
      Math.max(newest, session.revision),
    )
  }

  const onFocus = () => void pull()
  const onLine = () => void send()
  channel.onmessage = (event: MessageEvent<number>) => {
    if (event.data > store.getState().session.revision) void pull()
  }
  window.addEventListener('focus', onFocus)
  window.addEventListener('online', onLine)
  window.addEventListener('pagehide', flush)
  const unsubscribe = store.subscribe((state, before) => {
    if (state.session.pending === before.session.pending) return
    remember()
    clearTimeout(timer)
    timer = setTimeout(() => void send(), PAUSE)
  })
  recall()
    .catch(() => undefined)
    .finally(() => void send())
  return () => {
    flush()
    stopped = true
    clearTimeout(timer)
    channel.close()
    unsubscribe()
    window.removeEventListener('focus', onFocus)
    window.removeEventListener('online', onLine)
    window.removeEventListener('pagehide', flush)
  }
}
