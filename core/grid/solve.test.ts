import fc from 'fast-check'
import { expect, test } from 'vitest'
import { containerOf, GRID_PRESETS, solveGrid } from './solve'

test('12 columns of whole px in at most 1200: the choices, the widest first', () => {
  const grids = solveGrid(12, 1200)
  expect(grids.slice(0, 3)).toEqual(
    [
      { columns: 12, column: 78, gutter: 24, container: 1200 },
      { columns: 12, column: 89, gutter: 12, container: 1200 },
      { columns: 12, column: 56, gutter: 48, container: 1200 },
    ]
      .sort((a, b) => b.container - a.container || a.gutter - b.gutter)
      .slice(0, 3),
  )
})

test('every choice adds up, fits, is whole, and could not be wider with its gutter', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 24 }), fc.integer({ min: 240, max: 2000 }), (columns, most) => {
      for (const one of solveGrid(columns, most)) {
        expect(one.container).toBe(containerOf(columns, one.column, one.gutter))
        expect(one.container).toBeLessThanOrEqual(most)
        expect(Number.isInteger(one.column)).toBe(true)
        expect(containerOf(columns, one.column + 1, one.gutter)).toBeGreaterThan(most)
      }
    }),
  )
})

test('the known grids add up to their names', () => {
  expect(GRID_PRESETS.map((one) => one.container)).toEqual([940, 1140, 1200, 1320])
})
