import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import type { Edit } from '#core/edits/index'
import { walkPage } from '#core/site/tree'
import { getSite, saveEdits } from '#server/sites'
import { type EditsServer, startEditsServer } from './edits-server.fixture'
import { createSessionStore, edit, type SessionStore } from './store'
import { startSync } from './sync'

const site = demoSite()
const page = site.pages[0]!
const text = [...walkPage(page)].find((block) => block.kind === 'text')!
const words = (value: string): Edit => ({ kind: 'words', block: text.id, words: { en: [value] } })
const name = (value: string): Edit => ({ kind: 'site', field: 'name', value })

let server: EditsServer
let store: SessionStore
let stops: (() => void)[]
let kept: Map<string, string>

/** Waits for a state, until only a hang can be the reason. */
const until = (check: () => void) => vi.waitFor(check, { timeout: 60_000, interval: 20 })

/** Opens the site in a tab. @param revision what the tab was loaded at */
function openTab(revision = 0): SessionStore {
  const tab = createSessionStore(server.id, page.id, site, revision)
  stops.push(startSync(tab))
  return tab
}

/** Saves an edit as another tab does. @returns the revision that it made */
function saveElsewhere(key: string, one: Edit): number {
  const { revision } = getSite(server.store, server.id)
  const result = saveEdits(server.store, server.id, revision, [{ key, edit: one }])
  return result.status === 'saved' ? result.revision : Number.NaN
}
const onServer = () => getSite(server.store, server.id)
/** The words of the block in the server's database. */
const wordsKept = () => {
  const found = [...walkPage(onServer().site.pages[0]!)].find((one) => one.id === text.id)
  return found?.kind === 'text' ? found.words.en : undefined
}
/** Waits until a tab has nothing left to send and knows the server's newest revision. */
const settled = (tab = store, revision?: number) =>
  until(() => {
    expect(tab.getState().session.pending).toEqual([])
    expect(tab.getState().sending.size).toBe(0)
    if (revision !== undefined) expect(tab.getState().session.revision).toBe(revision)
  })

beforeEach(async () => {
  server = await startEditsServer(site)
  kept = new Map()
  stops = []
  vi.stubGlobal('fetch', server.fetch)
  vi.stubGlobal('window', new EventTarget())
  vi.stubGlobal('sessionStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  })
  store = openTab()
})
afterEach(async () => {
  for (const stop of stops) stop()
  vi.unstubAllGlobals()
  await server.end()
})

describe('saving', () => {
  test('sends an edit shortly after it was made; it is in the database then, and said to be saved', async () => {
    edit(store, words('One'))
    expect(server.posts).toEqual([])
    await settled()
    expect(server.posts).toEqual([{ base: 0, edits: [{ key: expect.any(String) as string, edit: words('One') }] }])
    expect(wordsKept()).toEqual(['One'])
    expect(store.getState().save.kind).toBe('saved')
    expect(store.getState().session.revision).toBe(onServer().revision)
  })

  test('sends a stretch of typing as one edit', async () => {
    for (const value of ['O', 'On', 'One']) edit(store, words(value), 'typing')
    await settled()
    expect(server.posts[0]!.edits.map((one) => one.edit)).toEqual([words('One')])
  })

  test('has one request on its way at a time; what is made meanwhile follows on the new revision', async () => {
    let release = (): void => undefined
    server.before = () => new Promise<void>((done) => (release = done))
    edit(store, words('One'))
    await until(() => expect(server.posts).toHaveLength(1))
    server.before = () => undefined
    edit(store, words('Two'))
    expect(store.getState().session.pending).toHaveLength(2)
    release()
    await settled()
    expect(server.posts.map((one) => one.base)).toEqual([0, 1])
    expect(wordsKept()).toEqual(['Two'])
    expect(server.posts.at(-1)!.edits).toMatchObject([{ edit: words('Two') }])
  })

  test('an edit that another tab makes needless while it cannot be sent leaves nothing waiting', async () => {
    server.before = () => {
      if (onServer().revision === 0) saveElsewhere('other', { kind: 'remove', blocks: [text.id] })
    }
    edit(store, words('Typed too late'))
    await settled(store, 1)
    expect(store.getState().save.kind).toBe('saved')
    expect(wordsKept()).toBeUndefined()
  })

  test('another tab of the browser takes in what one has saved', async () => {
    const other = openTab()
    edit(store, words('From the first'))
    await settled()
    await settled(other, onServer().revision)
    expect(other.getState().session.site).toEqual(onServer().site)
    edit(other, words('From the second'))
    await settled(other)
    await settled(store, onServer().revision)
    expect(store.getState().session.site).toEqual(onServer().site)
  })

  test('when behind, takes in what was missed and sends its own on top', async () => {
    saveElsewhere('theirs', name('Other'))
    edit(store, words('Mine'))
    await settled(store, 2)
    expect(server.posts.map((one) => one.base)).toEqual([0, 1])
    expect(store.getState().session.site).toEqual(onServer().site)
    expect(onServer().site.name).toBe('Other')
    expect(wordsKept()).toEqual(['Mine'])
  })
})

describe('without a connection', () => {
  test('edits wait, say so, and are sent when the server answers again', async () => {
    await server.close()
    edit(store, words('One'))
    await until(() => expect(store.getState().save.kind).toBe('waiting'))
    expect(store.getState().session.pending).toHaveLength(1)
    await server.open()
    await settled()
    expect(wordsKept()).toEqual(['One'])
    expect(store.getState().save.kind).toBe('saved')
  })

  test('what was saved, but whose answer was lost, is not made a second time', async () => {
    const before = onServer().revision
    let lost = true
    server.before = (sent) => {
      if (!lost) return
      lost = false
      saveEdits(server.store, server.id, sent.base, sent.edits as never)
      throw new Error('The answer is lost.')
    }
    edit(store, words('Once'))
    await settled()
    expect(onServer().revision).toBe(before + 1)
    expect(wordsKept()).toEqual(['Once'])
  })

  test('a server that fails is tried again, each time with the same keys', async () => {
    let failures = 3
    server.before = () => {
      if (failures-- > 0) throw new Error('It failed.')
    }
    edit(store, words('One'))
    await until(() => expect(server.posts).toHaveLength(4))
    await settled()
    expect(new Set(server.posts.map((one) => one.edits[0]!.key)).size).toBe(1)
    expect(wordsKept()).toEqual(['One'])
  })

  test('edits are kept for a reload, and forgotten once they are saved', async () => {
    await server.close()
    edit(store, words('One'))
    await until(() => expect(store.getState().save.kind).toBe('waiting'))
    expect([...kept.values()][0]).toContain('One')
    await server.open()
    window.dispatchEvent(new Event('online'))
    await settled()
    expect(kept.size).toBe(0)
  })

  test('after a reload they are made again and sent, but for those that the server has', async () => {
    stops.pop()!()
    saveElsewhere('had', words('Had'))
    const pending = [
      { key: 'had', edit: words('Had') },
      { key: 'new', edit: name('New name') },
    ]
    kept.set(`yarrowfinch.unsent.${server.id}`, JSON.stringify({ revision: 0, pending }))
    store = openTab(1)
    await settled(store, 2)
    expect(onServer().site.name).toBe('New name')
    expect(server.posts.at(-1)).toMatchObject({ base: 1, edits: [{ key: 'new' }] })
  })

  test('an edit that arrived after the page was loaded is taken in, not lost', async () => {
    stops.pop()!()
    saveElsewhere('late', name('Late'))
    kept.set(`yarrowfinch.unsent.${server.id}`, JSON.stringify({ revision: 0, pending: [{ key: 'late', edit: name('Late') }] }))
    store = openTab(0)
    await settled(store, 1)
    expect(store.getState().session.site.name).toBe('Late')
    expect(server.posts).toEqual([])
  })
})

test('what waits is sent when the screen is left', async () => {
  edit(store, words('One'))
  expect(server.posts).toEqual([])
  stops.pop()!()
  await until(() => expect(wordsKept()).toEqual(['One']))
})

test('what the server finds wrong is taken back', async () => {
  const wrong = { ...words('One'), block: 'no such id, since it has spaces' }
  const { session } = store.getState()
  store.setState({ session: { ...session, pending: [{ key: 'wrong', edit: wrong as Edit }] } })
  await settled()
  expect(server.posts).toHaveLength(1)
  expect(onServer().revision).toBe(0)
  expect(store.getState().session.site).toEqual(onServer().site)
})
