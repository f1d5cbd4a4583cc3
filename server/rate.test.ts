import { expect, test } from 'vitest'
import { rateLimit } from './rate'

test('each may ask so often in so long, and is not kept out by others', () => {
  const may = rateLimit(2, 1000)
  expect([may('a', 0), may('a', 10), may('a', 20), may('b', 20)]).toEqual([true, true, false, true])
  expect([may('a', 999), may('a', 1001), may('a', 1005), may('a', 1011)]).toEqual([false, true, false, true])
})

test('a clock that is put back keeps nobody out', () => {
  const may = rateLimit(1, 1000)
  expect(may('a', 50_000)).toBe(true)
  expect(may('a', 10)).toBe(true)
})
