import { afterAll, afterEach, beforeEach, expect, test, vi } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import type { Edit } from '#core/edits/index'
import { findBlock, walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import type { SessionStore } from './store'

const said = vi.fn()
// Modules are shared between files, which may have others of what tells: these are loaded anew, with ours.
vi.resetModules()
vi.doMock('sonner', () => ({ toast: Object.assign(vi.fn(), { error: said }) }))
const { keepHistory } = await import('./history')
const { createSessionStore, edit, goToStep, MOST_STEPS, redo, undo } = await import('./store')
afterAll(() => {
  vi.doUnmock('sonner')
  vi.resetModules()
})

const site = demoSite()
const page = site.pages[0]!
const text = [...walkPage(page)].find((block) => block.kind === 'text')!
const words = (value: string): Edit => ({ kind: 'words', block: text.id, words: { en: [value] } })

let ends: (() => void)[] = []
beforeEach(() => {
  localStorage.clear()
  said.mockClear()
})
afterEach(() => {
  for (const end of ends) end()
  ends = []
})

/** A screen of the site as it is now; its end is what leaving it does. */
function screen(now = site, siteId = 'site'): { store: SessionStore; leave: () => void } {
  const store = createSessionStore(siteId, page.id, now, 0)
  const leave = keepHistory(store)
  ends.push(leave)
  return { store, leave }
}
const siteOf = (store: SessionStore) => store.getState().session.site
const wordsIn = (store: SessionStore) => {
  const found = findBlock(siteOf(store), text.id)?.block
  return found && 'words' in found ? plainText(found.words.en ?? []) : undefined
}

test('what was done on one screen is taken back, and done again, on the next', () => {
  const first = screen()
  const before = wordsIn(first.store)
  edit(first.store, words('One'))
  edit(first.store, words('Two'))
  first.leave()
  const second = screen(siteOf(first.store))
  undo(second.store)
  expect(wordsIn(second.store)).toBe('One')
  undo(second.store)
  expect(wordsIn(second.store)).toBe(before)
  second.leave()
  const third = screen(siteOf(second.store))
  redo(third.store)
  redo(third.store)
  expect(wordsIn(third.store)).toBe('Two')
  // Another site has a history of its own.
  expect(screen(site, 'other').store.getState().undo).toEqual([])
})

test('a page that is left without a word is written down as well, and typing after it is a step of its own', () => {
  const first = screen()
  edit(first.store, words('One'), 'typing-1')
  window.dispatchEvent(new Event('pagehide'))
  const second = screen(siteOf(first.store))
  edit(second.store, words('Two'), 'typing-1')
  undo(second.store)
  expect(wordsIn(second.store)).toBe('One')
})

test('a step that cannot be taken back any more says which and why, and the one before it can be', () => {
  const { store } = screen()
  edit(store, { kind: 'style', block: page.sections[1]!.id, scope: 'base', values: { opacity: 0.5 } })
  edit(store, words('One'))
  // Somebody else has deleted the block meanwhile.
  const gone = screen(siteOf(store), 'elsewhere')
  edit(gone.store, { kind: 'remove', blocks: [text.id] })
  store.setState({ session: { ...store.getState().session, site: siteOf(gone.store) } })
  undo(store)
  expect(said.mock.calls[0]![0]).toMatch(/^“words” cannot be taken back: .*\.$/)
  expect(store.getState().redo).toEqual([])
  undo(store)
  expect(findBlock(siteOf(store), page.sections[1]!.id)!.block.style.base?.opacity).toBeUndefined()
})

test('each step has what it was done on and when, and any can be gone back to and forward to', () => {
  const { store } = screen()
  const before = wordsIn(store)
  for (const value of ['One', 'Two', 'Three']) edit(store, words(value))
  expect(store.getState().undo.map(({ label, on }) => [label, on.startsWith('Text')])).toEqual(Array(3).fill(['words', true]))
  expect(store.getState().undo.every(({ at }) => Math.abs(at - Date.now()) < 60_000)).toBe(true)
  goToStep(store, 1)
  expect([wordsIn(store), store.getState().redo.length]).toEqual(['One', 2])
  goToStep(store, 3)
  expect(wordsIn(store)).toBe('Three')
  goToStep(store, 0)
  expect(wordsIn(store)).toBe(before)
})

test('what another tab did can be taken back here; what is written down and damaged is left out', () => {
  const here = screen()
  const there = screen()
  edit(there.store, words('There'))
  window.dispatchEvent(new Event('pagehide'))
  window.dispatchEvent(new StorageEvent('storage', { key: 'yarrowfinch.steps.site' }))
  expect(here.store.getState().undo).toHaveLength(1)
  localStorage.setItem('yarrowfinch.steps.broken', '{"undo":[{"edit":{"kind":"nothing"}}],"redo":[]}')
  expect(screen(site, 'broken').store.getState().undo).toEqual([])
  localStorage.setItem('yarrowfinch.steps.broken', 'no JSON')
  expect(screen(site, 'broken').store.getState().undo).toEqual([])
})

test('a history is never longer than may be kept, and long words leave room by dropping what is oldest', () => {
  const first = screen()
  for (let n = 0; n < MOST_STEPS + 20; n++) edit(first.store, words(`${n} ${'word '.repeat(900)}`))
  expect(first.store.getState().undo).toHaveLength(MOST_STEPS)
  first.leave()
  expect(localStorage.getItem('yarrowfinch.steps.site')!.length).toBeLessThanOrEqual(1_000_000)
  const second = screen(siteOf(first.store))
  const kept = second.store.getState().undo.length
  expect(kept).toBeGreaterThan(100)
  undo(second.store)
  expect(wordsIn(second.store)).toMatch(new RegExp(`^${MOST_STEPS + 18} word`))
})
