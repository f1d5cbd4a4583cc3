import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { paletteOf } from './palette'

/** Pixels of fields of flat colour, each with a number of pixels. */
const fields = (...list: [hex: string, count: number, alpha?: number][]) =>
  new Uint8ClampedArray(
    list.flatMap(([hex, count, alpha = 255]) => {
      const value = parseInt(hex.slice(1), 16)
      return Array.from({ length: count }, () => [value >> 16, (value >> 8) & 255, value & 255, alpha]).flat()
    }),
  )

describe('the palette of a picture', () => {
  test('finds the colours of flat fields with their shares', () => {
    const palette = paletteOf(fields(['#1A1D47', 600], ['#FFD36B', 300], ['#C8772E', 100]), 3)
    expect(palette.map((one) => [one.hex, Number(one.share.toFixed(3))])).toEqual([
      ['#1A1D47', 0.6],
      ['#FFD36B', 0.3],
      ['#C8772E', 0.1],
    ])
  })

  test('gives no more colours than there are, and none for what is transparent', () => {
    expect(paletteOf(fields(['#808080', 50]), 6)).toEqual([{ hex: '#808080', share: 1 }])
    expect(paletteOf(fields(['#808080', 50, 0]), 6)).toEqual([])
    expect(paletteOf(fields(['#1A1D47', 10], ['#FFFFFF', 500, 20]), 3)).toEqual([{ hex: '#1A1D47', share: 1 }])
  })

  test('brings a small bright thing in a dark picture to light', () => {
    const dark: [string, number][] = Array.from({ length: 16 }, (_, i) => [`#10102${i.toString(16)}`, 1000])
    expect(paletteOf(fields(...dark, ['#FFB400', 120]), 5).some((one) => one.hex === '#FFB400')).toBe(true)
  })

  test('a colour that stands for several near ones is their mean', () => {
    const palette = paletteOf(fields(['#204020', 500], ['#305030', 500], ['#FF0000', 300], ['#0000FF', 300]), 3)
    expect(palette.map((one) => Number(one.share.toFixed(3)))).toEqual([0.625, 0.188, 0.188])
    const [, r, g, b] = /^#(..)(..)(..)$/.exec(palette[0]!.hex)!.map((one) => parseInt(one, 16))
    for (const [channel, mean] of [
      [r!, 0x28],
      [g!, 0x48],
      [b!, 0x28],
    ] as const)
      expect(Math.abs(channel - mean)).toBeLessThanOrEqual(2)
  })

  const picture = fc.array(fc.tuple(fc.integer({ min: 0, max: 0xffffff }), fc.integer({ min: 1, max: 30 })), {
    minLength: 1,
    maxLength: 30,
  })
  test('is the same for the same pixels, has shares that add up to 1, the largest first, and keeps within the number asked for', () => {
    fc.assert(
      fc.property(picture, fc.integer({ min: 3, max: 10 }), (list, count) => {
        const pixels = fields(...list.map(([value, n]): [string, number] => [`#${value.toString(16).padStart(6, '0')}`, n]))
        const palette = paletteOf(pixels, count)
        expect(paletteOf(pixels.slice(), count)).toEqual(palette)
        expect(palette.length).toBeLessThanOrEqual(count)
        expect(palette.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 9)
        expect(palette.map((one) => one.share)).toEqual(palette.map((one) => one.share).sort((a, b) => b - a))
      }),
    )
  })
})
