import fc from 'fast-check'
import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit } from '#core/edits/index'
import { keepEqual } from './keep-equal'

const read = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

test('it is equal to what it was made of, whatever stood there before', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (before, after) => {
      expect(keepEqual(read(before), read(after))).toEqual(read(after))
    }),
  )
})

test('what is equal is the same object', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const before = read(value)
      expect(keepEqual(before, read(value))).toBe(before)
    }),
  )
})

test('in another order of keys it is another', () => {
  const next = keepEqual({ a: 1, b: { c: 2 } }, { b: { c: 2 }, a: 1 })
  expect(Object.keys(next)).toEqual(['b', 'a'])
})

test('after an edit all but the way to the block is what it was', () => {
  const site = read(demoSite())
  const sections = site.pages[0]!.sections
  const next = keepEqual(site, read(applyEdit(site, { kind: 'remove', blocks: [sections[2]!.id] }).site))
  expect(next).not.toBe(site)
  expect(next.guide).toBe(site.guide)
  expect(next.pages.slice(1)).toEqual(site.pages.slice(1))
  for (const [n, page] of next.pages.slice(1).entries()) expect(page).toBe(site.pages[n + 1])
  const left = sections.filter((_, n) => n !== 2)
  expect(next.pages[0]!.sections).toHaveLength(left.length)
  for (const [n, section] of next.pages[0]!.sections.entries()) expect(section).toBe(left[n])
})
