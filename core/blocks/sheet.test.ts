import fc from 'fast-check'
import { expect, test } from 'vitest'
import { DEVICE_NAMES, DEVICES } from './devices'
import { deviceFor, sheetLayout } from './sheet'

const SHEET = { width: 2400, height: 1500, margin: 120, gap: 60 }

test('each view has the device that is nearest to it in width', () => {
  expect([320, 375, 768, 1024, 1280, 1920, 2560].map(deviceFor)).toEqual([
    'phone',
    'phone',
    'tablet',
    'laptop',
    'laptop',
    'wide screen',
    'wide screen',
  ])
})

test('things on a sheet stand on one line, inside its margins, and never over each other', () => {
  const size = fc.record({ width: fc.integer({ min: 200, max: 2500 }), height: fc.integer({ min: 200, max: 6000 }) })
  fc.assert(
    fc.property(fc.array(size, { minLength: 1, maxLength: 6 }), (sizes) => {
      const placed = sheetLayout(sizes, SHEET)
      placed.forEach((one, i) => {
        expect(one.x).toBeGreaterThan(SHEET.margin - 1)
        expect(one.x + one.width).toBeLessThan(SHEET.width - SHEET.margin + 1)
        expect(one.y).toBeGreaterThan(SHEET.margin - 1)
        expect(one.y + one.height).toBeCloseTo(placed[0]!.y + placed[0]!.height, 3)
        expect(one.width / one.height).toBeCloseTo(sizes[i]!.width / sizes[i]!.height, 4)
        const next = placed[i + 1]
        if (next) expect(next.x).toBeGreaterThan(one.x + one.width)
      })
    }),
  )
})

test('the screen of every device lies inside it', () => {
  for (const name of DEVICE_NAMES) {
    const { screen, size } = DEVICES[name]
    expect(screen.x + screen.width).toBeLessThanOrEqual(size.width)
    expect(screen.y + screen.height).toBeLessThanOrEqual(size.height)
  }
})
