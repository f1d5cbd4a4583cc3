import fc from 'fast-check'
import { expect, test } from 'vitest'
import { placementIn } from './placement'
import { narrowSpan, reachOf, sidesOf } from './reach'

test('a narrow block takes about two thirds of the columns, in the middle', () => {
  expect([24, 16, 12, 8, 6, 5, 4, 2, 1].map(narrowSpan)).toEqual([16, 10, 8, 6, 4, 3, 4, 2, 1])
  expect(placementIn(12, 4, 9, 'narrow')).toEqual({ start: 3, span: 8 })
  expect(placementIn(4, 2, 1, 'narrow')).toEqual({ start: null, span: 4 })
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 24 }), (columns) => {
      const { start, span } = placementIn(columns, undefined, undefined, 'narrow')
      expect((start ?? 1) - 1).toBe(columns - span - ((start ?? 1) - 1))
    }),
  )
})

test('what reaches to an edge stands on the columns at that edge, however many it takes', () => {
  expect(placementIn(12, 5, 2, 'right')).toEqual({ start: 8, span: 5 })
  expect(placementIn(12, 5, 2, 'left')).toEqual({ start: 1, span: 5 })
  expect(placementIn(4, 5, 2, 'right')).toEqual({ start: null, span: 4 })
  expect(placementIn(12, 5, 2, 'full')).toEqual({ start: null, span: 12 })
  expect(placementIn(12, 5, 2, 'container')).toEqual({ start: null, span: 12 })
})

test('it goes past the columns at one side or both; `columns` takes it back', () => {
  expect((['left', 'right', 'full', 'narrow', 'container'] as const).map(sidesOf)).toEqual([1, 1, 2, 0, 0])
  expect(reachOf('columns')).toBeUndefined()
  expect(reachOf('full')).toBe('full')
})
