import fc from 'fast-check'
import { expect, test } from 'vitest'
import { placementIn, placementToCss } from './placement'

test('four columns are a third of 12, a half of 8 and all of 4', () => {
  expect([12, 8, 4].map((columns) => placementToCss(placementIn(columns, 4, undefined), columns))).toEqual([
    'span 4',
    'span 4',
    '1 / -1',
  ])
})

test('a first column is kept where there is room after it, and dropped where there is not', () => {
  expect(placementIn(12, 6, 7)).toEqual({ start: 7, span: 6 })
  expect(placementIn(8, 6, 7)).toEqual({ start: null, span: 6 })
  expect(placementIn(12, undefined, 3)).toEqual({ start: null, span: 12 })
})

test('no placement ever reaches past the last column', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 24 }),
      fc.integer({ min: 1, max: 24 }),
      fc.integer({ min: 1, max: 24 }),
      (columns, span, start) => {
        const placement = placementIn(columns, span, start)
        expect((placement.start ?? 1) + placement.span - 1).toBeLessThanOrEqual(columns)
        expect(placement.span).toBeGreaterThanOrEqual(1)
      },
    ),
  )
})
