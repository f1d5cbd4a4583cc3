import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { wcagContrast } from 'culori'
import { leastScrim, legibilityOf, luminance, ratioOf, type Words } from './legibility'
import { strengthAt, tinted } from './tint'

const WHITE = { r: 255, g: 255, b: 255, a: 1 }
const BLACK = { r: 0, g: 0, b: 0 }

/** Words over pixels of a size, each given by its place. */
function over(width: number, height: number, grey: (x: number, y: number) => number, ink = WHITE): Words {
  const pixels = new Uint8ClampedArray(width * height * 4)
  for (let n = 0; n < width * height; n++) {
    pixels.fill(grey(n % width, Math.floor(n / width)), n * 4, n * 4 + 3)
    pixels[n * 4 + 3] = 255
  }
  const part = { left: 0, top: 0, width, height }
  return { pixels, part, box: { width, height }, lines: [part], patch: 10, ink }
}

describe('legibility', () => {
  test('of one colour is the ratio that WCAG gives', () => {
    const byte = fc.integer({ min: 0, max: 255 })
    fc.assert(
      fc.property(fc.tuple(byte, byte, byte), fc.tuple(byte, byte, byte), (a, b) => {
        const hex = (one: number[]) => `#${one.map((value) => value.toString(16).padStart(2, '0')).join('')}`
        expect(ratioOf(luminance(...a), luminance(...b))).toBeCloseTo(wcagContrast(hex(a), hex(b)), 4)
      }),
    )
  })

  test('names the worst patch, and where it is', () => {
    const found = legibilityOf(
      over(100, 20, (x) => (x >= 40 && x < 50 ? 200 : 20)),
      [],
    )!
    expect(found.worst.patch).toMatchObject({ left: 40, width: 10 })
    expect(found.worst.ratio).toBeCloseTo(wcagContrast('#ffffff', '#c8c8c8'), 3)
    expect(found.mean).toBeGreaterThan(found.fifth)
  })

  test('of an ink that lets through is less than of one that does not', () => {
    const solid = legibilityOf(
      over(20, 20, () => 60),
      [],
    )!
    const thin = legibilityOf(
      over(20, 20, () => 60, { ...WHITE, a: 0.5 }),
      [],
    )!
    expect(thin.worst.ratio).toBeLessThan(solid.worst.ratio)
  })

  test('is nothing where there are no lines', () => {
    expect(legibilityOf({ ...over(20, 20, () => 60), lines: [] }, [])).toBeUndefined()
  })
})

describe('a tint', () => {
  test('runs along the gradient line of CSS', () => {
    const tint = { colour: BLACK, from: 0.8, to: 0, angle: 90 }
    const box = { width: 200, height: 100 }
    expect(strengthAt(tint, 0, 50, box)).toBeCloseTo(0.8)
    expect(strengthAt(tint, 100, 50, box)).toBeCloseTo(0.4)
    expect(strengthAt({ ...tint, angle: 0 }, 10, 100, box)).toBeCloseTo(0.8)
    // At 45 degrees the corners stand on the ends of the line.
    expect(strengthAt({ ...tint, angle: 45 }, 0, 100, box)).toBeCloseTo(0.8)
    expect(strengthAt({ ...tint, angle: 45 }, 200, 0, box)).toBeCloseTo(0)
  })

  test('of full strength is all that is seen, and of none nothing', () => {
    const { pixels, part, box } = over(4, 4, () => 200)
    const colour = { r: 10, g: 20, b: 30 }
    expect([...tinted(pixels, part, box, [{ colour, from: 1, to: 1, angle: 0 }])].slice(0, 4)).toEqual([10, 20, 30, 255])
    expect(tinted(pixels, part, box, [{ colour, from: 0, to: 0, angle: 0 }])).toEqual(pixels)
  })
})

describe('the least scrim', () => {
  test('reaches what is needed, and a hundredth less does not', () => {
    const grey = fc.integer({ min: 0, max: 255 })
    fc.assert(
      fc.property(fc.array(grey, { minLength: 4, maxLength: 4 }), fc.constantFrom(3, 4.5), (list, needed) => {
        const words = over(40, 10, (x) => list[Math.floor(x / 10)]!)
        const even = (strength: number) => ({ colour: BLACK, from: strength, to: strength, angle: 0 })
        const least = leastScrim(words, needed, even)!
        expect(legibilityOf(words, [even(least)])!.worst.ratio).toBeGreaterThanOrEqual(needed)
        if (least > 0) expect(legibilityOf(words, [even(least - 0.01)])!.worst.ratio).toBeLessThan(needed)
      }),
      { numRuns: 60 },
    )
  })

  test('is none where the scrim is of the ink’s own colour', () => {
    const words = over(40, 10, () => 200)
    expect(leastScrim(words, 4.5, (strength) => ({ colour: WHITE, from: strength, to: strength, angle: 0 }))).toBeUndefined()
  })
})
