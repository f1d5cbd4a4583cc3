import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { rangeAt } from '#core/grid/columns'
import type { Extent } from '#core/grid/extent'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { extentAt, sizesAttribute, sourceWidths } from './sizes'

const full: Extent = { v: 0, c: 1, px: 0 }
const half: Extent = { v: 0, c: 0.5, px: -12 }

describe('the sizes attribute', () => {
  test('is exact px where the columns have reached their width, and follows the viewport below', () => {
    expect(sizesAttribute([half, half, full], DEFAULT_BREAKPOINTS)).toBe(
      '(width >= 1184px) 548px, (width >= 640px) calc(50vw - 44px), calc(100vw - 40px)',
    )
  })

  test('of a picture behind a section is the viewport', () => {
    const behind: Extent = { v: 1, c: 0, px: 0 }
    expect(sizesAttribute([behind, behind, behind], DEFAULT_BREAKPOINTS)).toBe('100vw')
  })
})

describe('source widths', () => {
  test('are never above the original, rise, and are at least a fifth apart', () => {
    const extent = fc.record({
      v: fc.constantFrom(0, 1),
      c: fc.constantFrom(0, 0.25, 0.5, 1),
      px: fc.integer({ min: -24, max: 200 }),
    })
    fc.assert(
      fc.property(fc.array(extent, { minLength: 3, maxLength: 3 }), fc.integer({ min: 40, max: 6000 }), (extents, original) => {
        const widths = sourceWidths(extents, DEFAULT_BREAKPOINTS, original)
        expect(widths.length).toBeGreaterThan(0)
        for (const [i, width] of widths.entries()) {
          expect(width).toBeLessThanOrEqual(original)
          if (i > 0) expect(width).toBeGreaterThanOrEqual(widths[i - 1]! * 1.2 - 1)
        }
      }),
    )
  })

  test('reach what a wide screen with two pixels for one asks for', () => {
    const widths = sourceWidths([half, half, full], DEFAULT_BREAKPOINTS, 4000)
    const asked = [320, 768, 1280, 1920].map((viewport) => {
      const range = rangeAt(DEFAULT_BREAKPOINTS, viewport)
      return 2 * extentAt([half, half, full][range]!, DEFAULT_BREAKPOINTS[range]!, viewport)
    })
    expect(widths.at(-1)).toBeGreaterThanOrEqual(Math.max(...asked))
  })
})
