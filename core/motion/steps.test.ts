import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { stepAt, stepsSchema } from './steps'

describe('the block that is shown as others pass a line', () => {
  const starts = [undefined, 1000, 1800]

  test('is the last whose start has passed, on the way down and on the way up', () => {
    expect([0, 599, 600, 1399, 1400, 9000].map((scroll) => stepAt(starts, 400, scroll))).toEqual([0, 0, 1, 1, 2, 2])
    expect(stepAt(starts, 400, 800)).toBe(1)
  })

  test('is the first that waits for nothing until then, and the first of all where all wait', () => {
    expect(stepAt([1000, undefined, 1800], 400, 0)).toBe(1)
    expect(stepAt([1000, 1800], 400, 0)).toBe(0)
  })

  test('is one of them at every scroll position, and never goes back as the page goes on', () => {
    fc.assert(
      fc.property(
        fc.array(fc.option(fc.integer({ min: 0, max: 9000 }), { nil: undefined }), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 0, max: 1000 }),
        (starts, line) => {
          const sorted = [...starts].sort((a, b) => (a ?? -1) - (b ?? -1))
          const shown = Array.from({ length: 40 }, (_, i) => stepAt(sorted, line, i * 250))
          for (const [i, index] of shown.entries()) {
            expect(index).toBeGreaterThanOrEqual(0)
            expect(index).toBeLessThan(sorted.length)
            // What waits for nothing is first only until something has passed.
            if (i > 0 && sorted[shown[i - 1]!] !== undefined && sorted[index] !== undefined)
              expect(sorted[index]).toBeGreaterThanOrEqual(sorted[shown[i - 1]!]!)
          }
        },
      ),
    )
  })
})

test('steps by which nobody would ever see a block are refused', () => {
  const steps = (...at: [string, string][]) =>
    stepsSchema.safeParse({ line: { value: 50, unit: '%' }, at: at.map(([block, of]) => ({ block, of })) })
  expect(steps(['a', 'x'], ['b', 'y'], ['c', 'y']).success).toBe(true)
  for (const [wrong, sentence] of [
    [steps(['a', 'a']), /waits to be shown/],
    [steps(['a', 'b'], ['b', 'x']), /waits to be shown/],
    [steps(['a', 'x'], ['a', 'y']), /from one place/],
  ] as const)
    expect(wrong.error?.issues[0]?.message).toMatch(sentence)
})
