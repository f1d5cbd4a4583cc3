import { describe, expect, test } from 'vitest'
import { breakpointsSchema } from '#core/grid/breakpoint'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { breakKey, breakOf, segmentsOf, SWEPT, withBreakpointFor } from './breaks'

const broken = (to: number) => ({ kind: 'word' as const, block: 'x', from: 280, to })

describe('a breakpoint for what breaks', () => {
  test('stands where the break ends, in order, with the grid that held there', () => {
    const made = withBreakpointFor(DEFAULT_BREAKPOINTS, broken(711), 'new00001')!
    expect(made.map((one) => one.below)).toEqual([null, 1024, 712, 640])
    expect(made[2]).toMatchObject({ columns: DEFAULT_BREAKPOINTS[1]!.columns, gutter: DEFAULT_BREAKPOINTS[1]!.gutter })
    expect(breakpointsSchema.safeParse(made).success).toBe(true)
  })

  test('is not made for what breaks at every width', () => {
    expect(withBreakpointFor(DEFAULT_BREAKPOINTS, broken(SWEPT.to), 'new00001')).toBeUndefined()
  })

  test('is not made where one stands, nor where there are twelve', () => {
    expect(withBreakpointFor(DEFAULT_BREAKPOINTS, broken(639), 'new00001')).toBeUndefined()
    expect(withBreakpointFor(DEFAULT_BREAKPOINTS, broken(643), 'new00001')).toBeUndefined()
    const many = Array.from({ length: 12 }, (_, n) => ({
      ...DEFAULT_BREAKPOINTS[0]!,
      id: `b${n}`,
      below: n === 0 ? null : 2000 - n * 20,
    }))
    expect(withBreakpointFor(many, broken(500), 'new00001')).toBeUndefined()
  })

  test('a key says what breaks and which block', () => {
    expect(breakOf({ key: breakKey('row', 'ab12'), from: 1, to: 2 })).toEqual({ kind: 'row', block: 'ab12', from: 1, to: 2 })
  })
})

test('ranges that overlap or follow each other are one', () => {
  const at = (from: number, to: number) => ({ kind: 'word' as const, block: 'x', from, to })
  expect(
    segmentsOf([at(700, 720), at(280, 340), at(300, 400), at(401, 410)]).map((one) => [one.from, one.to, one.breaks.length]),
  ).toEqual([
    [280, 410, 3],
    [700, 720, 1],
  ])
})
