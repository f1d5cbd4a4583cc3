import fc from 'fast-check'
import { expect, test } from 'vitest'
import { runs } from '#core/values/runs.fixture'
import { staying } from './order'

test('those that stay are the longest rising run', () => {
  expect([...staying([2, 0, 1, 3])]).toEqual([0, 1, 3])
  expect([...staying([5, 4, 3])]).toHaveLength(1)
  expect([...staying([])]).toEqual([])
  expect([...staying([0, 1, 2])]).toEqual([0, 1, 2])
})

test('no other choice of them that rises is longer', () => {
  /** Every choice, which only a short list allows. */
  const longest = (list: number[]): number =>
    Math.max(
      ...Array.from({ length: 2 ** list.length }, (_, bits) => {
        const chosen = list.filter((_one, i) => bits & (1 << i))
        return chosen.every((one, i) => i === 0 || one > chosen[i - 1]!) ? chosen.length : 0
      }),
    )
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(30), { maxLength: 9 }), (list) => {
      const kept = staying(list)
      const order = list.filter((one) => kept.has(one))
      expect(order).toEqual([...order].sort((a, b) => a - b))
      expect(order).toHaveLength(longest(list))
    }),
    { numRuns: runs(60, 300) },
  )
})
