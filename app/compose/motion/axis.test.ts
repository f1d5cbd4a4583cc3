import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { pageOfScreen, sameIn, screenOf } from './axis'

const section = (id: string, top: number, height: number, shift: number) => ({
  id,
  shift,
  box: { left: 0, top, width: 1000, height },
})
const wide = [section('a', 0, 100, 0), section('b', 100, 400, 60), section('c', 500, 300, 60)]
const narrow = [section('a', 0, 160, 0), section('b', 160, 800, 0), section('c', 960, 300, 90)]

describe('the scroll ruler', () => {
  test('has each px of the page where its view shows it', () => {
    expect(screenOf(wide, 0.5, 50)).toBe(25)
    expect(screenOf(wide, 0.5, 100)).toBe(80)
    expect(screenOf(wide, 0.5, -20)).toBe(-10)
  })

  test('leads back to the same px', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 900, noNaN: true }), (px) => {
        expect(pageOfScreen(wide, 0.4, screenOf(wide, 0.4, px))).toBeCloseTo(px, 6)
      }),
    )
  })

  test('takes what is between two rows for the end of the upper one', () => {
    expect(pageOfScreen(wide, 1, 130)).toBe(100)
  })

  test('stands at the same share of the same section in another view', () => {
    expect(sameIn(wide, narrow, 50)).toBe(80)
    expect(sameIn(wide, narrow, 300)).toBe(560)
    expect(sameIn(narrow, wide, 560)).toBe(300)
  })
})
