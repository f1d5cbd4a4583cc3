import fc from 'fast-check'
import { expect, test } from 'vitest'
import { behind, drawnIn } from './crop'

const side = fc.integer({ min: 1, max: 4000 })
const size = fc.record({ width: side, height: side })
const focal = fc.record({ x: fc.integer({ min: 0, max: 100 }), y: fc.integer({ min: 0, max: 100 }) })

test('a picture that covers leaves nothing of its box free, and its focal point is always seen', () => {
  fc.assert(
    fc.property(size, size, focal, (box, picture, point) => {
      const drawn = drawnIn(box, picture, { fit: 'cover', focal: point })
      expect(drawn.left).toBeLessThanOrEqual(1e-6)
      expect(drawn.top).toBeLessThanOrEqual(1e-6)
      expect(drawn.left + drawn.width).toBeGreaterThanOrEqual(box.width - 1e-6)
      expect(drawn.top + drawn.height).toBeGreaterThanOrEqual(box.height - 1e-6)
      const x = drawn.left + (drawn.width * point.x) / 100
      const y = drawn.top + (drawn.height * point.y) / 100
      expect(x).toBeGreaterThanOrEqual(-1e-6)
      expect(x).toBeLessThanOrEqual(box.width + 1e-6)
      expect(y).toBeGreaterThanOrEqual(-1e-6)
      expect(y).toBeLessThanOrEqual(box.height + 1e-6)
    }),
  )
})

test('a picture that is contained stays in its box, and keeps its shape', () => {
  fc.assert(
    fc.property(size, size, focal, (box, picture, point) => {
      const drawn = drawnIn(box, picture, { fit: 'contain', focal: point })
      expect(drawn.left).toBeGreaterThanOrEqual(-1e-6)
      expect(drawn.left + drawn.width).toBeLessThanOrEqual(box.width + 1e-6)
      expect(drawn.width / drawn.height).toBeCloseTo(picture.width / picture.height, 6)
    }),
  )
})

test('the middle of a box twice as wide as its square picture shows the middle of the picture', () => {
  const crop = { fit: 'cover', focal: { x: 50, y: 50 } } as const
  const part = { left: 150, top: 75, width: 100, height: 50 }
  expect(behind(part, { width: 400, height: 200 }, { width: 800, height: 800 }, crop)).toEqual({
    left: 300,
    top: 350,
    width: 200,
    height: 100,
  })
})

test('a zoom keeps the focal point where it is, and a flip shows what is at the other side', () => {
  const box = { width: 400, height: 200 }
  const crop = { fit: 'cover', focal: { x: 25, y: 50 } } as const
  const zoomed = drawnIn(box, { width: 400, height: 200 }, { ...crop, zoom: 2 })
  expect(zoomed).toEqual({ width: 800, height: 400, left: -100, top: -100 })
  const part = { left: 0, top: 0, width: 100, height: 50 }
  const flipped = behind(part, box, { width: 400, height: 200 }, { ...crop, flip: 'both' })
  expect(flipped).toEqual({ left: 300, top: 150, width: 100, height: 50 })
})
