import { describe, expect, test } from 'vitest'
import { breakpointsSchema } from '#core/grid/breakpoint'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { SWEPT } from './widths'
import { withBreakpointBelow } from './with-breakpoint'

describe('a breakpoint for what breaks', () => {
  test('stands where it ends, in order, with the grid that held there', () => {
    const made = withBreakpointBelow(DEFAULT_BREAKPOINTS, 712, 'new00001')!
    expect(made.map((one) => one.below)).toEqual([null, 1024, 712, 640])
    expect(made[2]).toMatchObject({ columns: DEFAULT_BREAKPOINTS[1]!.columns, gutter: DEFAULT_BREAKPOINTS[1]!.gutter })
    expect(breakpointsSchema.safeParse(made).success).toBe(true)
  })

  test('is not made for what holds at every width', () => {
    expect(withBreakpointBelow(DEFAULT_BREAKPOINTS, SWEPT.to + 1, 'new00001')).toBeUndefined()
  })

  test('is not made where one stands, nor where there are twelve', () => {
    expect(withBreakpointBelow(DEFAULT_BREAKPOINTS, 640, 'new00001')).toBeUndefined()
    expect(withBreakpointBelow(DEFAULT_BREAKPOINTS, 644, 'new00001')).toBeUndefined()
    const many = Array.from({ length: 12 }, (_, n) => ({
      ...DEFAULT_BREAKPOINTS[0]!,
      id: `b${n}`,
      below: n === 0 ? null : 2000 - n * 20,
    }))
    expect(withBreakpointBelow(many, 501, 'new00001')).toBeUndefined()
  })
})
