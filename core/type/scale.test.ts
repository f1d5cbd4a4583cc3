import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { DEFAULT_GUIDE } from '#core/site/defaults'
import { fallbackFaceCss } from './fallback'
import { FAMILIES, familyOf, measuresOf } from './families'
import { leadingAt, leadingLine, leadingToCss } from './leading'
import { charactersPerLine, pxAt, reachesDouble, zoomedBy200 } from './measure'
import { metricsOf, STANDINS } from './metrics'
import { MOODS } from './moods'
import { pairingsFor } from './pairing'
import { leadingOf, sizeOf, typeOf } from '#core/guide/type-roles'
import { ratioName, RATIOS, stepFluid, stepSize } from './scale'

describe('a modular scale', () => {
  // 16 px by the perfect fourth and by the major third, as tables of scales print them.
  test.each([
    [4 / 3, [9, 12, 16, 21.33, 28.43, 37.9, 50.52]],
    [5 / 4, [10.24, 12.8, 16, 20, 25, 31.25, 39.06]],
    [3 / 2, [7.11, 10.67, 16, 24, 36, 54, 81]],
  ])('by %d from 16 px', (ratio, sizes) => {
    sizes.forEach((px, i) => expect(stepSize(16, ratio, i - 2)).toBeCloseTo(px, 1))
  })

  test('grows from the narrow width to the wide one, step by step', () => {
    const scale = { base: { narrow: 16, wide: 18 }, ratio: { narrow: 1.2, wide: 4 / 3 }, at: { narrow: 375, wide: 1360 } }
    expect(stepFluid(scale, 0)).toEqual({ from: { at: 375, px: 16 }, to: { at: 1360, px: 18 } })
    expect(stepFluid(scale, 5)).toEqual({ from: { at: 375, px: 39.81 }, to: { at: 1360, px: 75.85 } })
    expect(sizeOf({ scale }, { size: { step: 1 } })).toEqual({ fluid: stepFluid(scale, 1) })
    expect(sizeOf({ scale }, { size: { value: 20, unit: 'px' } })).toEqual({ value: 20, unit: 'px' })
  })

  test('ratios are known by their names in music', () => {
    for (const { name, ratio } of RATIOS) expect(ratioName(ratio)).toBe(name)
    expect(ratioName(1.31)).toBeUndefined()
  })
})

describe('leading', () => {
  test('goes through both figures, and falls as size grows', () => {
    const leading = { small: 1.6, large: 1.04 }
    expect(leadingAt(leading, 16)).toBeCloseTo(1.6, 6)
    expect(leadingAt(leading, 76)).toBeCloseTo(1.04, 6)
    fc.assert(
      fc.property(fc.double({ min: 10, max: 120, noNaN: true }), fc.double({ min: 1, max: 40, noNaN: true }), (size, more) => {
        expect(leadingAt(leading, size + more)).toBeLessThan(leadingAt(leading, size))
      }),
    )
    expect(leadingToCss(leading)).toBe('calc(0.8907em + 0.7093rem)')
    expect(leadingLine({ small: 1, large: 1 })).toEqual({ em: 1, px: 0 })
  })

  test('of a role is its own figure, where it has one', () => {
    expect(leadingOf(DEFAULT_GUIDE, { role: 'button', leading: 1.2 }, 50)).toBe(1.2)
    expect(leadingOf(DEFAULT_GUIDE, { role: 'lead' }, 16)).toBeCloseTo(1.6, 6)
    // Running text hands its leading down, so it has one figure for all sizes.
    expect(leadingOf(DEFAULT_GUIDE, { role: 'body' }, 16)).toBe(leadingOf(DEFAULT_GUIDE, { role: 'body' }, 40))
    expect(typeOf(DEFAULT_GUIDE, 'nothing')).toBeUndefined()
  })
})

describe('measure and zoom', () => {
  test('a line of 640 px at 17 px in a face of 0.46 em holds 82 characters', () => {
    expect(charactersPerLine(640, 17, 0.46)).toBeCloseTo(81.8, 1)
    expect(charactersPerLine(640, 17, 0.46, 0.02)).toBeLessThan(81)
  })

  test('text of one size doubles at 200%; a fluid one less, since the window then counts half as wide', () => {
    expect(zoomedBy200({ value: 20, unit: 'px' }, 1280)).toBe(2)
    const fluid = { fluid: { from: { at: 375, px: 20 }, to: { at: 1360, px: 80 } } }
    expect(zoomedBy200(fluid, 1360)).toBeCloseTo((2 * pxAt(fluid, 680)!) / 80, 6)
    expect(zoomedBy200(fluid, 1360)).toBeLessThan(1)
    expect(reachesDouble(fluid, 1360)).toBe(false)
    expect(reachesDouble({ fluid: { from: { at: 375, px: 40 }, to: { at: 1360, px: 76 } } }, 1280)).toBe(true)
    expect(zoomedBy200({ value: 50, unit: '%' }, 1280)).toBeUndefined()
  })
})

describe('families', () => {
  test.each(FAMILIES.map((one) => one.id))('%s has measures and a mood', (id) => {
    const { ascent, descent, xHeight, capHeight, averageAdvance } = metricsOf(id)
    for (const value of [ascent, descent, xHeight, capHeight, averageAdvance]) expect(value).toBeGreaterThan(0)
    expect(xHeight).toBeLessThan(capHeight)
    expect(MOODS[id]).toHaveLength(2)
  })

  test('there are at least forty, of every class', () => {
    expect(FAMILIES.length).toBeGreaterThanOrEqual(40)
    expect(new Set(FAMILIES.map((one) => one.class))).toEqual(new Set(['serif', 'sans', 'slab', 'mono', 'display']))
  })

  test('a fallback takes up the room of the real face', () => {
    const real = metricsOf('fraunces')
    const css = fallbackFaceCss('Fraunces fallback', real, STANDINS.serif)
    const value = (name: string) => Number(new RegExp(`${name}: ([\\d.]+)%`).exec(css)![1]) / 100
    const scale = value('size-adjust')
    // What the browser makes of it: the stand-in's advance, and the overridden ascent, each times the scale.
    expect(STANDINS.serif.averageAdvance * scale).toBeCloseTo(real.averageAdvance, 3)
    expect(value('ascent-override') * scale).toBeCloseTo(real.ascent, 3)
    expect(value('descent-override') * scale).toBeCloseTo(real.descent, 3)
    expect(css).toContain('src: local("Georgia")')
  })
})

describe('pairings', () => {
  const fraunces = familyOf('fraunces')!
  const pairings = pairingsFor(fraunces, FAMILIES)

  test('rank every family, the best first, each with its reasons', () => {
    expect(pairings).toHaveLength(FAMILIES.length)
    expect(pairings.map((one) => one.score)).toEqual([...pairings.map((one) => one.score)].sort((a, b) => b - a))
    expect(pairings.every((one) => one.reasons.length >= 2)).toBe(true)
  })

  test('prefer another class for text, and no face that tires', () => {
    expect(pairings[0]!.family.class).not.toBe('serif')
    const place = (id: string) => pairings.findIndex((one) => one.family.id === id)
    expect(place('caveat')).toBeGreaterThan(place('work-sans'))
    expect(place('jetbrains-mono')).toBeGreaterThan(place('work-sans'))
  })

  test('give figures that are those of the faces', () => {
    const sans = pairings.find((one) => one.family.id === 'instrument-sans')!
    expect(sans.reasons.join(' ')).toContain(`${Math.round(measuresOf(sans.family).xHeight * 100)}%`)
    expect(sans.reasons).toContain('Both are warm.')
    expect(pairings.find((one) => one.family.id === 'fraunces')!.reasons[0]).toContain('One family for both')
  })
})
