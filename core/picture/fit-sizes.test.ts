import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { fileWidthFor, sizeIn } from './choose-file'
import { type Asked, fittedSizes, measuredViewports } from './fit-sizes'

const viewports = measuredViewports(DEFAULT_BREAKPOINTS)
const window = (width: number) => ({ width, height: 800 })

/** Boxes that follow the window in straight pieces, as layouts do. */
const layout = fc
  .array(
    fc.record({
      from: fc.integer({ min: 320, max: 2400 }),
      share: fc.integer({ min: 10, max: 100 }),
      px: fc.integer({ min: 0, max: 300 }),
    }),
    {
      minLength: 1,
      maxLength: 4,
    },
  )
  .map((pieces) =>
    viewports.map((viewport): Asked => {
      const piece = [...pieces].sort((a, b) => b.from - a.from).find((one) => viewport >= one.from) ?? pieces[0]!
      return { viewport, px: (piece.share / 100) * viewport + piece.px }
    }),
  )

describe('sizes that are fitted to what was measured', () => {
  test('err by less than three percent wherever it was measured', () => {
    fc.assert(
      fc.property(layout, (asked) => {
        const sizes = fittedSizes(asked)
        for (const { viewport, px } of asked) expect(Math.abs(sizeIn(sizes, window(viewport)) - px) / px).toBeLessThan(0.031)
      }),
    )
  })

  test('have no more conditions than the layout has pieces', () => {
    fc.assert(
      fc.property(layout, (asked) => {
        const bends = asked.filter((one, i) => {
          const [before, after] = [asked[i - 1], asked[i + 1]]
          if (!before || !after) return false
          const slope = (a: Asked, b: Asked) => (b.px - a.px) / (b.viewport - a.viewport)
          return Math.abs(slope(before, one) - slope(one, after)) > 1e-6
        })
        expect(fittedSizes(asked).split('(width').length).toBeLessThanOrEqual(bends.length + 1)
      }),
    )
  })

  test('say a plain figure where it holds', () => {
    expect(fittedSizes(viewports.map((viewport) => ({ viewport, px: 480 })))).toBe('480px')
    expect(fittedSizes(viewports.map((viewport) => ({ viewport, px: viewport })))).toBe('100vw')
    const columns = viewports.map((viewport) => ({ viewport, px: Math.min(1120, viewport - 40) }))
    expect(fittedSizes(columns).split(', ')).toHaveLength(2)
  })
})

test('the smallest file that is enough is taken, on dense screens the nearer one, and the largest where all are too small', () => {
  const widths = [400, 480, 576, 691]
  expect([100, 430, 450, 480, 900].map((one) => fileWidthFor(widths, one))).toEqual([400, 480, 480, 480, 691])
  expect([100, 430, 450, 480, 900].map((one) => fileWidthFor(widths, one, 2))).toEqual([400, 400, 480, 480, 691])
})

test('sizes are read as they are written', () => {
  const sizes = '(width >= 1200px) 560px, (width >= 640px) calc(50vw - 32px), max(100vw, 80vh)'
  expect([1400, 800, 500].map((width) => sizeIn(sizes, window(width)))).toEqual([560, 368, 640])
})
