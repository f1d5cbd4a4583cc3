import { converter, differenceEuclidean } from 'culori'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { contrast } from './contrast'
import { harmonyOf, HARMONIES, type Harmony, rampOf } from './harmony'
import { nearestPassing, ratioOf } from './nearest'
import { hexOfOklch, inSrgb, intoSrgb, linearOf, luminance, mostChroma, oklchDistance, oklchOf } from './oklch'
import { filterValues, seenAs, VISIONS } from './vision'

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0').toUpperCase()}`)

describe('OKLCH', () => {
  // Reference values of CSS Color 4 and of Ottosson's article, to the places that they give.
  test.each([
    ['#FFFFFF', 1, 0, undefined],
    ['#000000', 0, 0, undefined],
    ['#FF0000', 0.628, 0.2577, 29.23],
    ['#00FF00', 0.8664, 0.2948, 142.5],
    ['#0000FF', 0.452, 0.3132, 264.05],
    ['#663399', 0.4403, 0.1603, 303.37],
  ] as const)('of %s', (colour, l, c, h) => {
    const found = oklchOf(colour)
    expect(found.l).toBeCloseTo(l, 3)
    expect(found.c).toBeCloseTo(c, 3)
    if (h !== undefined) expect(found.h).toBeCloseTo(h, 1)
  })

  test('agrees with another implementation, there and back', () => {
    const other = converter('oklch')
    fc.assert(
      fc.property(hex, (colour) => {
        const ours = oklchOf(colour)
        const theirs = other(colour)!
        expect(Math.abs(ours.l - theirs.l)).toBeLessThan(1e-4)
        expect(Math.abs(ours.c - theirs.c)).toBeLessThan(1e-4)
        expect(hexOfOklch(ours)).toBe(colour)
      }),
    )
  })

  test('distance is that of OKLab', () => {
    const other = differenceEuclidean('oklab')
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(oklchDistance(oklchOf(a), oklchOf(b))).toBeCloseTo(other(a, b), 4)
      }),
    )
  })
})

describe('the gamut of sRGB', () => {
  test('is left by taking chroma away, lightness and hue kept', () => {
    const { colour, mapped } = intoSrgb({ l: 0.7, c: 0.35, h: 150 })
    expect(mapped).toBe(true)
    expect(colour).toMatchObject({ l: 0.7, h: 150 })
    expect(colour.c).toBeCloseTo(mostChroma(0.7, 150), 4)
    expect(inSrgb(colour)).toBe(true)
    expect(inSrgb({ ...colour, c: colour.c + 0.002 })).toBe(false)
    expect(intoSrgb({ l: 0.5, c: 0.05, h: 20 }).mapped).toBe(false)
    expect(hexOfOklch({ l: 1.4, c: 0.2, h: 20 })).toBe('#FFFFFF')
  })

  test('holds every colour that is made, whatever is asked for', () => {
    const asked = fc.record({
      l: fc.double({ min: -0.2, max: 1.2, noNaN: true }),
      c: fc.double({ min: 0, max: 0.5, noNaN: true }),
      h: fc.double({ min: 0, max: 360, noNaN: true }),
    })
    fc.assert(fc.property(asked, (colour) => void expect(inSrgb(intoSrgb(colour).colour)).toBe(true)))
  })
})

describe('contrast', () => {
  // The figures that WCAG's own understanding documents and techniques give.
  test.each([
    ['#FFFFFF', '#000000', 21],
    ['#777777', '#FFFFFF', 4.48],
    ['#767676', '#FFFFFF', 4.54],
    ['#949494', '#FFFFFF', 3.03],
    ['#595959', '#FFFFFF', 7],
    ['#FF0000', '#FFFFFF', 4],
  ])('of %s on %s is %d', (a, b, ratio) => {
    expect(contrast(a, b)).toBeCloseTo(ratio, 1)
    expect(ratioOf(luminance(linearOf(a)), luminance(linearOf(b)))).toBeCloseTo(contrast(a, b), 3)
  })
})

describe('the nearest colour that passes', () => {
  test('is the colour itself, if it passes', () => {
    expect(nearestPassing('#1a1d47', [{ hex: '#FFFFFF', ratio: 4.5 }])).toBe('#1A1D47')
  })

  test('passes, keeps its hue, and is the nearest on a grid search', () => {
    fc.assert(
      fc.property(hex, hex, fc.constantFrom(3, 4.5), (colour, ground, ratio) => {
        const found = nearestPassing(colour, [{ hex: ground, ratio }])
        if (found === undefined) return
        expect(contrast(found, ground)).toBeGreaterThanOrEqual(ratio)
        const start = oklchOf(colour)
        const got = oklchOf(found)
        const distance = Math.hypot(got.l - start.l, got.c - start.c)
        if (got.c > 0.03 && start.c > 0.03) expect(Math.abs(((got.h - start.h + 540) % 360) - 180)).toBeLessThan(8)
        // A plain search over lightness and chroma finds nothing that is nearer by more than a step of eight bits.
        let best = Infinity
        for (let l = 0; l <= 1; l += 0.01)
          for (let c = 0; c <= 0.32; c += 0.01) {
            const one = { l, c, h: start.h }
            if (!inSrgb(one) || contrast(hexOfOklch(one), ground) < ratio) continue
            // Next to black eight bits are so coarse that what is seen is another colour than was asked for.
            const seen = oklchOf(hexOfOklch(one))
            if (Math.hypot(seen.l - l, seen.c - c) < 0.006) best = Math.min(best, Math.hypot(l - start.l, c - start.c))
          }
        expect(distance).toBeLessThanOrEqual(best + 0.006)
      }),
      { numRuns: 40 },
    )
  })

  test('is black where nothing else stands out so much', () => {
    expect(contrast('#010000', '#E20672')).toBeLessThan(4.5)
    expect(nearestPassing('#020000', [{ hex: '#E20672', ratio: 4.5 }])).toBe('#000000')
  })

  test('passes against several grounds at once, or there is none', () => {
    const found = nearestPassing('#5B5E70', [
      { hex: '#FFFFFF', ratio: 4.5 },
      { hex: '#D8D6EA', ratio: 4.5 },
    ])!
    for (const ground of ['#FFFFFF', '#D8D6EA']) expect(contrast(found, ground)).toBeGreaterThanOrEqual(4.5)
    const both = [
      { hex: '#FFFFFF', ratio: 12 },
      { hex: '#000000', ratio: 12 },
    ]
    expect(nearestPassing('#5B5E70', both)).toBeUndefined()
  })
})

describe('harmonies and ramps', () => {
  test.each(Object.entries(HARMONIES))('%s turns the hue and keeps lightness', (name, turns) => {
    const from = oklchOf('#7A6B3A')
    const colours = harmonyOf('#7A6B3A', name as Harmony)
    expect(colours).toHaveLength(turns.length)
    colours.forEach((one, i) => {
      const { l, h } = oklchOf(one)
      expect(l).toBeCloseTo(from.l, 1)
      expect(Math.abs(((h - from.h - turns[i]! + 900) % 360) - 180)).toBeLessThan(4)
    })
  })

  test('a ramp falls in even steps of lightness', () => {
    const lightness = rampOf('#3B3A9E', 9).map((one) => oklchOf(one).l)
    const steps = lightness.slice(1).map((l, i) => lightness[i]! - l)
    for (const step of steps) expect(step).toBeCloseTo((0.965 - 0.175) / 8, 2)
  })
})

describe('how colours are seen', () => {
  test('greys stay as they are, to a rounding, and greyscale keeps luminance', () => {
    for (const vision of ['protanopia', 'deuteranopia', 'tritanopia', 'greyscale'] as const)
      expect(oklchOf(seenAs('#808080', vision)).l).toBeCloseTo(oklchOf('#808080').l, 2)
    const [r, g] = linearOf(seenAs('#FFD36B', 'greyscale'))
    expect(r).toBe(g)
    expect(r).toBeCloseTo(luminance(linearOf('#FFD36B')), 2)
  })

  test('red and green come close without one kind of cone, and not without another', () => {
    const apart = (vision: 'deuteranopia' | 'tritanopia') =>
      oklchDistance(oklchOf(seenAs('#B04030', vision)), oklchOf(seenAs('#4F7A2A', vision)))
    expect(apart('deuteranopia')).toBeLessThan(apart('tritanopia') / 2)
  })

  test('the filter of the page is the same matrix, row by row', () => {
    const values = filterValues('tritanopia').split(' ').map(Number)
    expect(values).toHaveLength(20)
    expect(values.slice(0, 3)).toEqual(VISIONS.tritanopia![0])
    expect(values.slice(15)).toEqual([0, 0, 0, 1, 0])
  })
})
