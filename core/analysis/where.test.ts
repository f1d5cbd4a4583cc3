import { expect, test } from 'vitest'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { saidOf, whereOf } from './where'

const page = siteOf('Two', [
  section('one', [worded('text', 'a', 'Dusk')]),
  { ...section('two', [worded('text', 'b', 'Stars')]), name: 'Prices' },
]).pages[0]!

test('a finding is said with the number and name of its section, as the running order has them', () => {
  expect(saidOf(page, { section: 'two', sentence: 'It is long.' })).toBe('02 Prices: It is long.')
  expect(saidOf(page, { block: 'b', sentence: 'It is long.' })).toBe('02 Prices: It is long.')
})

test('what stands in no section of the page is said as it is', () => {
  expect(whereOf(page, { block: 'elsewhere' })).toBeUndefined()
  expect(saidOf(page, { sentence: 'The page has no title.' })).toBe('The page has no title.')
})

test('what is said of several sections is said with their numbers', () => {
  const found = { section: 'two', sentence: 'Both jump.', with: [{ section: 'one' }] }
  expect(saidOf(page, found)).toBe('01 and 02: Both jump.')
})
