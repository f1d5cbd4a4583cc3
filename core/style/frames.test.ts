import fc from 'fast-check'
import { expect, test } from 'vitest'
import { frameSchema, frameToCss, parsePoints, pointsText } from './frames'

test('a slanted edge rises to the right, or falls', () => {
  expect(frameToCss({ shape: 'slant', edge: 'top', rise: 12 })).toBe('polygon(0% 12%, 100% 0%, 100% 100%, 0% 100%)')
  expect(frameToCss({ shape: 'slant', edge: 'top', rise: -12 })).toBe('polygon(0% 0%, 100% 12%, 100% 100%, 0% 100%)')
  expect(frameToCss({ shape: 'slant', edge: 'bottom', rise: 10 })).toBe('polygon(0% 0%, 100% 0%, 100% 90%, 0% 100%)')
})

test('points are typed and shown alike, and what is none is refused', () => {
  const percent = fc.integer({ min: 0, max: 100 })
  fc.assert(
    fc.property(fc.array(fc.record({ x: percent, y: percent }), { minLength: 3, maxLength: 24 }), (points) => {
      expect(parsePoints(pointsText(points))).toEqual(points)
    }),
  )
  for (const wrong of ['', '0 0, 100 0', '0 0, 100 0, 50', '0 0, 100 0, 50 120', 'a b, c d, e f', '0 0 0, 1 1 1, 2 2 2'])
    expect(parsePoints(wrong), wrong).toBeUndefined()
})

test('a rise beyond 60 % is no frame', () => {
  expect(frameSchema.safeParse({ shape: 'slant', edge: 'top', rise: 80 }).success).toBe(false)
})
