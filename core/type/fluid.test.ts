import fc from 'fast-check'
import { expect, test } from 'vitest'
import { fluidAt, fluidToCss, growthPer100, REM } from './fluid'

const heading = { from: { at: 375, px: 38 }, to: { at: 1360, px: 76 } }

test('38 px at 375 to 76 px at 1360 grows 3.86 px per 100 px', () => {
  expect(growthPer100(heading)).toBeCloseTo(3.858, 3)
  expect(fluidToCss(heading)).toBe('clamp(2.375rem, 1.4708rem + 3.8579vw, 4.75rem)')
  expect([320, 375, 1360, 1920].map((width) => fluidAt(heading, width))).toEqual([38, 38, 76, 76])
})

test('a size that shrinks as the width grows keeps its smaller end as the least', () => {
  expect(fluidToCss({ from: { at: 400, px: 32 }, to: { at: 800, px: 16 } })).toBe('clamp(1rem, 3rem - 4vw, 2rem)')
})

/** What a browser makes of the clamp, px. */
function evaluate(css: string, viewport: number): number {
  const [low, rest, high] = css.slice(6, -1).split(', ')
  const [rem, sign, vw] = rest!.split(' ')
  const preferred = Number.parseFloat(rem!) * REM + (sign === '-' ? -1 : 1) * (Number.parseFloat(vw!) / 100) * viewport
  return Math.max(Number.parseFloat(low!) * REM, Math.min(preferred, Number.parseFloat(high!) * REM))
}

test('the CSS comes to the same px as the formula, at all widths', () => {
  const px = fc.integer({ min: 8, max: 160 })
  fc.assert(
    fc.property(
      px,
      px,
      fc.integer({ min: 320, max: 800 }),
      fc.integer({ min: 801, max: 1920 }),
      fc.integer({ min: 240, max: 2560 }),
      (a, b, from, to, viewport) => {
        const fluid = { from: { at: from, px: a }, to: { at: to, px: b } }
        expect(Math.abs(evaluate(fluidToCss(fluid), viewport) - fluidAt(fluid, viewport))).toBeLessThan(0.05)
      },
    ),
  )
})
