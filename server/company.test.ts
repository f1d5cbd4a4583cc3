import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { News } from '#core/values/company'
import { announceRevision, listen, PRESENT_FOR, whoIsPresent, workAt } from './company'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

test('all who have a site open hear of its revisions and of each other, and nobody of another site', () => {
  const [a, b, other]: News[][] = [[], [], []]
  const ends = [
    listen('s1', (news) => a!.push(news), 'x'),
    listen('s1', (news) => b!.push(news), 'x'),
    listen('s2', (news) => other!.push(news), 'x'),
  ]
  announceRevision('s1', 7)
  workAt('s1', 'tab-a', { page: 'p', block: null }, 1000)
  workAt('s1', 'tab-a', { page: 'p', block: null }, 2000)
  vi.runAllTimers()
  workAt('s1', 'tab-b', { page: 'p', block: 'h1' }, 3000)
  vi.runAllTimers()
  expect(a).toEqual([
    { kind: 'revision', revision: 7 },
    { kind: 'present', present: [{ tab: 'tab-a', page: 'p', block: null }] },
    {
      kind: 'present',
      present: [
        { tab: 'tab-a', page: 'p', block: null },
        { tab: 'tab-b', page: 'p', block: 'h1' },
      ],
    },
  ])
  expect(b).toEqual(a)
  expect(other).toEqual([])
  workAt('s1', 'tab-a', null, 4000)
  expect(whoIsPresent('s1', 4000).map((one) => one.tab)).toEqual(['tab-b'])
  expect(whoIsPresent('s1', 3001 + PRESENT_FOR)).toEqual([])
  for (const end of ends) end!()
  announceRevision('s1', 8)
  vi.runAllTimers()
  expect(a).toHaveLength(3)
})

test('two hundred who come or leave at once are told of once', () => {
  const heard: News[] = []
  const end = listen('many', (news) => heard.push(news), 'x')!
  const tabs = Array.from({ length: 200 }, (_, n) => `tab-${n}`)
  for (const tab of tabs) workAt('many', tab, { page: 'p', block: null }, 1000)
  vi.runAllTimers()
  expect(heard.map((news) => news.kind === 'present' && news.present.length)).toEqual([200])
  for (const tab of tabs) workAt('many', tab, null, 2000)
  vi.runAllTimers()
  expect(heard).toHaveLength(2)
  expect(heard.at(-1)).toEqual({ kind: 'present', present: [] })
  end()
})

test('one whose connection is gone keeps nobody else from hearing', () => {
  const heard: News[] = []
  listen(
    's3',
    () => {
      throw new Error('closed')
    },
    'x',
  )
  listen('s3', (news) => heard.push(news), 'x')
  announceRevision('s3', 1)
  announceRevision('s3', 2)
  expect(heard).toHaveLength(2)
})

test('no more than two hundred hear the news of one site, and 32 from one address', () => {
  const from = (n: number) => `10.0.0.${n % 8}`
  const ends = Array.from({ length: 200 }, (_, n) => listen('full', () => undefined, from(n))!)
  expect(ends.every(Boolean)).toBe(true)
  expect(listen('full', () => undefined, '10.0.0.9')).toBeUndefined()
  ends.pop()!()
  expect(listen('full', () => undefined, '10.0.0.9')).toBeDefined()

  for (let n = 0; n < 32; n++) expect(listen('one', () => undefined, '10.0.0.1')).toBeDefined()
  expect(listen('one', () => undefined, '10.0.0.1')).toBeUndefined()
  expect(listen('one', () => undefined, '10.0.0.2')).toBeDefined()
  expect(listen('another', () => undefined, '10.0.0.1')).toBeDefined()
})
