import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type GuideLine, guideLineSchema, lineAt, lineMoved, nearestLine } from './guide-line'

const size = { width: 1280, height: 600 }

test('a line stands at px of its section, or at a share of it', () => {
  expect(lineAt({ axis: 'down', at: 5, unit: '%' }, size)).toBe(64)
  expect(lineAt({ axis: 'across', at: 10, unit: '%' }, size)).toBe(60)
  expect(lineAt({ axis: 'across', at: 10, unit: 'px' }, size)).toBe(10)
  expect(guideLineSchema.safeParse({ axis: 'down', at: 120, unit: '%' }).success).toBe(false)
})

test('a line that is moved stays in its section and in its unit, and is where it was put', () => {
  const line = fc.record({ axis: fc.constantFrom('down', 'across'), at: fc.constant(0), unit: fc.constantFrom('px', '%') })
  fc.assert(
    fc.property(line, fc.double({ min: -500, max: 2000, noNaN: true }), (one, px) => {
      const moved = lineMoved(one as GuideLine, px, size)
      expect(guideLineSchema.safeParse(moved).success).toBe(true)
      const length = one.axis === 'down' ? size.width : size.height
      expect(Math.abs(lineAt(moved, size) - Math.max(0, Math.min(length, px)))).toBeLessThanOrEqual(length / 1000)
    }),
  )
})

test('what comes near a line of its axis is to stand on it, on the nearest', () => {
  const lines: GuideLine[] = [
    { axis: 'down', at: 100, unit: 'px' },
    { axis: 'down', at: 108, unit: 'px' },
    { axis: 'across', at: 104, unit: 'px' },
  ]
  expect(nearestLine(105, 'down', lines, size, 6)).toBe(108)
  expect(nearestLine(90, 'down', lines, size, 6)).toBeUndefined()
  expect(nearestLine(105, 'across', lines, size, 6)).toBe(104)
  expect(nearestLine(105, 'across', [], size, 6)).toBeUndefined()
})
