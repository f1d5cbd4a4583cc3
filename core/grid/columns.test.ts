import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { columnEdges, columnWidth, contentOffset, contentWidth, rangeAt, spanWidth } from './columns'

const grid = fc.record({
  columns: fc.integer({ min: 1, max: 24 }),
  gutter: fc.integer({ min: 0, max: 80 }),
  margin: fc.integer({ min: 0, max: 120 }),
  container: fc.integer({ min: 200, max: 2000 }),
})

describe('columns', () => {
  test('12 columns with a gutter of 24 in 1120 px are 71.33 px wide, and 8 of them 738.67', () => {
    const wide = DEFAULT_BREAKPOINTS[0]!
    expect(columnWidth(wide, 1280)).toBeCloseTo(71.333, 3)
    expect(spanWidth(wide, 1280, 8)).toBeCloseTo(738.667, 3)
    expect(contentOffset(wide, 1280)).toBe(80)
  })

  test('below the container width the margins count', () => {
    expect(contentWidth(DEFAULT_BREAKPOINTS[1]!, 768)).toBe(704)
    expect(contentWidth(DEFAULT_BREAKPOINTS[2]!, 375)).toBe(335)
  })

  test('columns and gutters add up to the content, at all counts and widths', () => {
    fc.assert(
      fc.property(grid, fc.integer({ min: 320, max: 2560 }), (one, viewport) => {
        fc.pre((one.columns - 1) * one.gutter <= contentWidth(one, viewport))
        const sum = one.columns * columnWidth(one, viewport) + (one.columns - 1) * one.gutter
        expect(sum).toBeCloseTo(contentWidth(one, viewport), 6)
        expect(spanWidth(one, viewport, one.columns)).toBeCloseTo(contentWidth(one, viewport), 6)
        const edges = columnEdges(one, viewport)
        expect(edges).toHaveLength(one.columns)
        expect(edges.at(-1)!.right).toBeCloseTo(contentOffset(one, viewport) + contentWidth(one, viewport), 6)
      }),
    )
  })

  test('two neighbouring spans and the gutter between them are the span of both', () => {
    fc.assert(
      fc.property(grid, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }), (one, a, b) => {
        const both = spanWidth(one, 1600, a) + one.gutter + spanWidth(one, 1600, b)
        expect(both).toBeCloseTo(spanWidth(one, 1600, a + b), 6)
      }),
    )
  })

  test('a breakpoint holds below its width, and not at it', () => {
    expect([1920, 1024, 1023, 640, 639, 320].map((width) => rangeAt(DEFAULT_BREAKPOINTS, width))).toEqual([0, 0, 1, 1, 2, 2])
  })
})
