import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Box, boxAround, freePlace, snap } from './snap'

const box = (x: number, y: number, width = 100, height = 80): Box => ({ x, y, width, height })

describe('snapping', () => {
  test.each([
    ['left edges', box(205, 400), { x: 200, y: 400 }],
    ['the middle to the middle', box(247, 400, 10), { x: 245, y: 400 }],
    ['the gap beside a card', box(313, 203), { x: 316, y: 200 }],
    ['nothing near', box(500, 500), { x: 500, y: 500 }],
  ])('to %s', (_, moved, expected) => {
    expect(snap(moved, [box(200, 200)], 6, 16)).toMatchObject(expected)
  })

  test('says the lines that it snapped to', () => {
    expect(snap(box(203, 400), [box(200, 200)], 6, 16).lines).toEqual([{ axis: 'x', at: 200, from: 200, to: 480 }])
  })

  test('moves no further than its reach', () => {
    const boxes = fc.array(
      fc.record({
        x: fc.nat(900),
        y: fc.nat(900),
        width: fc.integer({ min: 24, max: 300 }),
        height: fc.integer({ min: 24, max: 300 }),
      }),
      { minLength: 1, maxLength: 8 },
    )
    fc.assert(
      fc.property(boxes, ([moved, ...others]) => {
        const { x, y, lines } = snap(moved!, others, 6, 16)
        expect(Math.abs(x - moved!.x)).toBeLessThanOrEqual(6)
        expect(Math.abs(y - moved!.y)).toBeLessThanOrEqual(6)
        expect(lines.length).toBeLessThanOrEqual(2)
      }),
    )
  })
})

test('a new card covers no other, and stays within the width', () => {
  const others: Box[] = []
  for (let i = 0; i < 12; i++) {
    const size = { width: 120 + (i % 3) * 40, height: 100 }
    const place = freePlace(size, others, 700, 16)
    expect(place.x + size.width).toBeLessThanOrEqual(700)
    const added = { ...place, ...size }
    for (const one of others)
      expect(
        added.x >= one.x + one.width ||
          one.x >= added.x + added.width ||
          added.y >= one.y + one.height ||
          one.y >= added.y + added.height,
      ).toBe(true)
    others.push(added)
  }
  expect(freePlace({ width: 900, height: 50 }, [], 700, 16)).toEqual({ x: 16, y: 16 })
  expect(boxAround([box(0, 0), box(200, 100)])).toEqual({ x: 0, y: 0, width: 300, height: 180 })
})
