import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import type { Edit } from '#core/edits/index'
import { walkPage } from '#core/site/tree'
import { createSessionStore, edit, type SessionStore, takeIn } from './store'
import { startSync } from './sync'

const site = demoSite()
const page = site.pages[0]!
const text = [...walkPage(page)].find((block) => block.kind === 'text')!
const words = (value: string): Edit => ({ kind: 'words', block: text.id, words: { en: [value] } })

/** A channel between tabs, and storage, as a browser has them. */
class Channel {
  static open: Channel[] = []
  onmessage: ((event: { data: number }) => void) | null = null
  posted: number[] = []
  constructor() {
    Channel.open.push(this)
  }
  postMessage(data: number) {
    this.posted.push(data)
  }
  close() {
    Channel.open = Channel.open.filter((one) => one !== this)
  }
}

type Sent = { base: number; edits: { key: string; edit: Edit }[] }
let store: SessionStore
let stop: () => void
let posts: Sent[]
let kept: Map<string, string>
let answer: (sent: Sent) => Response | Promise<Response>
let since: () => object

const saved = (sent: Sent) => Response.json({ status: 'saved', revision: sent.base + sent.edits.length, refused: [] })

beforeEach(() => {
  vi.useFakeTimers()
  posts = []
  kept = new Map()
  Channel.open = []
  answer = saved
  since = () => ({ revision: 0, missed: [] })
  vi.stubGlobal('BroadcastChannel', Channel)
  vi.stubGlobal('window', new EventTarget())
  vi.stubGlobal('sessionStorage', {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, value: string) => void kept.set(name, value),
    removeItem: (name: string) => void kept.delete(name),
  })
  vi.stubGlobal('fetch', (_: string, init?: { body: string }) => {
    if (!init) return Promise.resolve(Response.json(since()))
    const sent = JSON.parse(init.body) as Sent
    posts.push(sent)
    return Promise.resolve().then(() => answer(sent))
  })
  store = createSessionStore('s', page.id, site, 0)
  stop = startSync(store)
})
afterEach(() => {
  stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)

describe('saving', () => {
  test('an edit that another tab makes needless while it cannot be sent leaves nothing waiting', async () => {
    edit(store, words('Typed without a connection'))
    answer = () => {
      takeIn(store, [{ key: 'other', edit: { kind: 'remove', blocks: [text.id] } }], 1)
      throw new Error('No connection.')
    }
    await pass(50)
    expect(store.getState().session.pending).toEqual([])
    expect(store.getState().save.kind).toBe('saved')
  })

  test('sends an edit shortly after it was made, and says that it is saved', async () => {
    edit(store, words('One'))
    expect(posts).toEqual([])
    await pass(60)
    expect(posts).toHaveLength(1)
    expect(posts[0]).toMatchObject({ base: 0, edits: [{ edit: words('One') }] })
    expect(store.getState().save.kind).toBe('saved')
    expect(store.getState().session).toMatchObject({ revision: 1, pending: [] })
  })

  test('sends a stretch of typing as one edit', async () => {
    for (const value of ['O', 'On', 'One']) edit(store, words(value), 'typing')
    await pass(60)
    expect(posts[0]!.edits.map((one) => one.edit)).toEqual([words('One')])
  })

  test('has one request on its way at a time; what is made meanwhile follows on the new revision', async () => {
    let release = (): void => undefined
    answer = (sent) => new Promise((done) => (release = () => done(saved(sent))))
    edit(store, words('One'))
    await pass(60)
    edit(store, words('Two'))
    await pass(200)
    expect(posts).toHaveLength(1)
    answer = saved
    release()
    await pass(60)
    expect(posts).toHaveLength(2)
    expect(posts[1]).toMatchObject({ base: 1, edits: [{ edit: words('Two') }] })
  })

  test('tells the other tabs, and asks when another tab tells', async () => {
    edit(store, words('One'))
    await pass(60)
    expect(Channel.open[0]!.posted).toEqual([1])
    since = () => ({ revision: 2, missed: [{ key: 'x', edit: words('Theirs') }] })
    Channel.open[0]!.onmessage!({ data: 2 })
    await pass(1)
    expect(store.getState().session.revision).toBe(2)
  })

  test('when behind, takes in what was missed and sends its own on top', async () => {
    let first = true
    answer = (sent) => {
      if (!first) return saved(sent)
      first = false
      return Response.json(
        { status: 'behind', revision: 3, missed: [{ key: 'x', edit: { kind: 'site', field: 'name', value: 'Other' } }] },
        { status: 409 },
      )
    }
    edit(store, words('Mine'))
    await pass(60)
    expect(posts.map((one) => one.base)).toEqual([0, 3])
    expect(store.getState().session.site.name).toBe('Other')
    expect(store.getState().session.pending).toEqual([])
  })
})

test('an edit that arrived after the page was loaded is taken in, not lost', async () => {
  stop()
  kept.set(
    'yarrowfinch.unsent.s',
    JSON.stringify({ revision: 0, pending: [{ key: 'late', edit: { kind: 'site', field: 'name', value: 'Late' } }] }),
  )
  since = () => ({ revision: 1, missed: [{ key: 'late', revision: 1, edit: { kind: 'site', field: 'name', value: 'Late' } }] })
  store = createSessionStore('s', page.id, site, 0)
  stop = startSync(store)
  await pass(100)
  expect(store.getState().session).toMatchObject({ revision: 1, pending: [], site: { name: 'Late' } })
})

test('what waits is sent when the screen is left', () => {
  edit(store, words('One'))
  expect(posts).toEqual([])
  stop()
  expect(posts).toHaveLength(1)
  expect(posts[0]!.edits.map((one) => one.edit)).toEqual([words('One')])
})

describe('without a connection', () => {
  test('edits wait, say so, and are sent when the server answers again', async () => {
    answer = () => Promise.reject(new TypeError('offline'))
    edit(store, words('One'))
    await pass(60)
    expect(store.getState().save.kind).toBe('waiting')
    expect(store.getState().session.pending).toHaveLength(1)
    answer = saved
    await pass(600)
    expect(store.getState().save.kind).toBe('saved')
    expect(posts.at(-1)!.edits[0]!.key).toBe(posts[0]!.edits[0]!.key)
  })

  test('a server that fails is tried again, later and later', async () => {
    answer = () => new Response('', { status: 500 })
    edit(store, words('One'))
    await pass(60)
    await pass(500)
    await pass(1000)
    await pass(2000)
    expect(posts).toHaveLength(4)
  })

  test('edits are kept for a reload, and forgotten once they are saved', async () => {
    answer = () => Promise.reject(new TypeError('offline'))
    edit(store, words('One'))
    await pass(60)
    expect([...kept.values()][0]).toContain('One')
    answer = saved
    window.dispatchEvent(new Event('online'))
    await pass(60)
    expect(kept.size).toBe(0)
  })

  test('after a reload they are made again and sent, but for those that the server has', async () => {
    stop()
    const pending = [
      { key: 'had', edit: words('Had') },
      { key: 'new', edit: { kind: 'site', field: 'name', value: 'New name' } },
    ]
    kept.set('yarrowfinch.unsent.s', JSON.stringify({ revision: 0, pending }))
    since = () => ({ revision: 1, missed: [{ key: 'had', revision: 1, edit: words('Had') }] })
    store = createSessionStore('s', page.id, site, 1)
    stop = startSync(store)
    await pass(100)
    expect(store.getState().session.site.name).toBe('New name')
    expect(posts.at(-1)).toMatchObject({ base: 1, edits: [{ key: 'new' }] })
  })
})

test('what the server finds wrong is taken back', async () => {
  answer = () => Response.json({ problem: 'The request has the wrong shape.' }, { status: 422 })
  edit(store, words('One'))
  await pass(60)
  expect(store.getState().session.pending).toEqual([])
  expect(store.getState().session.site).toBe(store.getState().session.confirmed)
})
