import { expect, test } from 'vitest'
import type { News } from '#core/values/company'
import { announceRevision, listen, PRESENT_FOR, whoIsPresent, workAt } from './company'

test('all who have a site open hear of its revisions and of each other, and nobody of another site', () => {
  const [a, b, other]: News[][] = [[], [], []]
  const ends = [
    listen('s1', (news) => a!.push(news)),
    listen('s1', (news) => b!.push(news)),
    listen('s2', (news) => other!.push(news)),
  ]
  announceRevision('s1', 7)
  workAt('s1', 'tab-a', { page: 'p', block: null }, 1000)
  workAt('s1', 'tab-a', { page: 'p', block: null }, 2000)
  workAt('s1', 'tab-b', { page: 'p', block: 'h1' }, 3000)
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
  expect(a).toHaveLength(4)
})

test('one whose connection is gone keeps nobody else from hearing', () => {
  const heard: News[] = []
  listen('s3', () => {
    throw new Error('closed')
  })
  listen('s3', (news) => heard.push(news))
  announceRevision('s3', 1)
  announceRevision('s3', 2)
  expect(heard).toHaveLength(2)
})

test('no more than two hundred hear the news of one site', () => {
  const ends = Array.from({ length: 200 }, () => listen('full', () => undefined)!)
  expect(listen('full', () => undefined)).toBeUndefined()
  ends.pop()!()
  expect(listen('full', () => undefined)).toBeDefined()
})
