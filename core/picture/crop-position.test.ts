import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { cropPosition, draggedPosition, isSeen, seenPart } from './crop-position'
import { turned } from './picture'

const size = fc.record({ width: fc.integer({ min: 20, max: 6000 }), height: fc.integer({ min: 20, max: 6000 }) })
const percent = fc.double({ min: 0, max: 100, noNaN: true })
const safeArea = fc
  .record({ left: percent, top: percent, width: percent, height: percent })
  .map(({ left, top, width, height }) => ({
    left,
    top,
    width: Math.max(1, Math.min(width, 100 - left)),
    height: Math.max(1, Math.min(height, 100 - top)),
  }))
  .filter(({ left, top, width, height }) => left + width <= 100 && top + height <= 100)

describe('crops', () => {
  test('keep the focal point inside, whatever the box', () => {
    fc.assert(
      fc.property(size, size, fc.record({ x: percent, y: percent }), (picture, box, focal) => {
        expect(isSeen(focal, seenPart(picture, box, cropPosition({ focal })!))).toBe(true)
      }),
    )
  })

  test('keep the safe area whole wherever the box has room for it', () => {
    fc.assert(
      fc.property(size, size, safeArea, (picture, box, safe) => {
        const seen = seenPart(picture, box, cropPosition({ safe })!)
        if (seen.width >= safe.width) {
          expect(seen.left).toBeLessThanOrEqual(safe.left + 0.01)
          expect(seen.left + seen.width).toBeGreaterThanOrEqual(safe.left + safe.width - 0.01)
        }
        if (seen.height >= safe.height) {
          expect(seen.top).toBeLessThanOrEqual(safe.top + 0.01)
          expect(seen.top + seen.height).toBeGreaterThanOrEqual(safe.top + safe.height - 0.01)
        }
      }),
    )
  })

  test('have no position where nothing is said', () => expect(cropPosition({})).toBeUndefined())

  test('follow a drag px by px, and end where the picture ends', () => {
    const [picture, box] = [
      { width: 2000, height: 1000 },
      { width: 500, height: 500 },
    ]
    // Drawn 1000 wide in 500: 500 px are left over.
    expect(draggedPosition(picture, box, { x: 50, y: 50 }, { x: 100, y: 40 })).toEqual({ x: 30, y: 50 })
    expect(draggedPosition(picture, box, { x: 50, y: 50 }, { x: -900, y: 0 }).x).toBe(100)
  })
})

describe('a quarter turn', () => {
  const picture = {
    id: 'a',
    name: 'a',
    hash: 'a'.repeat(64),
    type: 'image/jpeg' as const,
    width: 300,
    height: 200,
    focal: { x: 10, y: 20 },
    safe: { left: 0, top: 10, width: 30, height: 20 },
  }

  test('takes the focal point and the safe area along', () => {
    expect(turned(picture, 90)).toMatchObject({
      width: 200,
      height: 300,
      focal: { x: 80, y: 10 },
      safe: { left: 70, top: 0, width: 20, height: 30 },
    })
    expect(turned(picture, 270)).toMatchObject({ width: 200, height: 300, focal: { x: 20, y: 90 } })
  })

  test('comes round after four of them', () => {
    const round = [90, 90, 90, 90].reduce((one) => turned(one, 90), picture as Parameters<typeof turned>[0])
    expect(round).toEqual(picture)
  })
})
