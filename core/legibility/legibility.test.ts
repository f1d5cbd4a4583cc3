import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { wcagContrast } from 'culori'
import { heatOf, leastStrength, legibilityOf, luminance, ratioOf, type Words } from './legibility'
import { type Paint, painted } from './painted'

const WHITE = { r: 255, g: 255, b: 255, a: 1 }
const BLACK = { r: 0, g: 0, b: 0, a: 1 }

/** Words over pixels of a size, each given by its place. */
function over(width: number, height: number, grey: (x: number, y: number) => number, ink = WHITE): Words {
  const pixels = new Uint8ClampedArray(width * height * 4)
  for (let n = 0; n < width * height; n++) {
    pixels.fill(grey(n % width, Math.floor(n / width)), n * 4, n * 4 + 3)
    pixels[n * 4 + 3] = 255
  }
  const part = { left: 0, top: 0, width, height }
  return { pixels, part, lines: [part], patch: 10, ink }
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
    const found = legibilityOf(over(100, 20, (x) => (x >= 40 && x < 50 ? 200 : 20)))!
    expect(found.worst.patch).toMatchObject({ left: 40, width: 10 })
    expect(found.worst.ratio).toBeCloseTo(wcagContrast('#ffffff', '#c8c8c8'), 3)
    expect(found.mean).toBeGreaterThan(found.fifth)
  })

  test('of words with a blend mode is that of the colour that they are seen in', () => {
    const grey = over(20, 20, () => 160, { r: 200, g: 200, b: 200, a: 1 })
    const multiplied = Math.round((160 * 200) / 255)
    const hex = multiplied.toString(16)
    expect(legibilityOf({ ...grey, blend: 'multiply' })!.worst.ratio).toBeCloseTo(wcagContrast('#a0a0a0', `#${hex}${hex}${hex}`), 1)
    expect(legibilityOf({ ...grey, blend: 'normal' })!.worst.ratio).toBe(legibilityOf(grey)!.worst.ratio)
    // White words that are multiplied are not seen at all.
    expect(legibilityOf({ ...over(20, 20, () => 90), blend: 'multiply' })!.worst.ratio).toBeCloseTo(1, 1)
  })

  test('of an ink that lets through is less than of one that does not', () => {
    const solid = legibilityOf(over(20, 20, () => 60))!
    const thin = legibilityOf(over(20, 20, () => 60, { ...WHITE, a: 0.5 }))!
    expect(thin.worst.ratio).toBeLessThan(solid.worst.ratio)
  })

  test('is nothing where there are no lines', () => {
    expect(legibilityOf({ ...over(20, 20, () => 60), lines: [] })).toBeUndefined()
  })
})

/** Words with a flat scrim over what is behind them. */
const under = (words: Words, colour: typeof BLACK, strength: number): Words => {
  const scrim: Paint = { kind: 'colour', colour: { ...colour, a: strength }, rect: { left: 0, top: 0, ...words.part } }
  return { ...words, pixels: painted(words.pixels, words.part, [scrim]) }
}

describe('the least scrim', () => {
  test('reaches what is needed, and a hundredth less does not', () => {
    const grey = fc.integer({ min: 0, max: 255 })
    fc.assert(
      fc.property(fc.array(grey, { minLength: 4, maxLength: 4 }), fc.constantFrom(3, 4.5), (list, needed) => {
        const words = over(40, 10, (x) => list[Math.floor(x / 10)]!)
        const ratioAt = (strength: number) => legibilityOf(under(words, BLACK, strength))!.worst.ratio
        const least = leastStrength(needed, ratioAt)!
        expect(ratioAt(least)).toBeGreaterThanOrEqual(needed)
        if (least > 0) expect(ratioAt(least - 0.01)).toBeLessThan(needed)
      }),
      { numRuns: 60 },
    )
  })

  test('is none where the scrim is of the ink’s own colour', () => {
    const words = over(40, 10, () => 200)
    expect(leastStrength(4.5, (strength) => legibilityOf(under(words, WHITE, strength))!.worst.ratio)).toBeUndefined()
  })
})

test('heat is the contrast of each cell', () => {
  const { columns, rows, ratios } = heatOf({ ...over(40, 20, (x) => (x < 20 ? 0 : 255)) })
  expect([columns, rows]).toEqual([4, 2])
  expect([...ratios].map((one) => Math.round(one))).toEqual([21, 21, 1, 1, 21, 21, 1, 1])
})
