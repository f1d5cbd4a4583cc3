import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { BLENDS } from '#core/style/blends'
import { blended, layOver } from './blend'
import { colourBetween, gradientIn } from './gradient'

const channel = fc.double({ min: 0, max: 1, noNaN: true })
const rgb = fc.tuple(channel, channel, channel)

describe('blending', () => {
  test.each(BLENDS)('by %s gives channels from 0 to 1', (mode) => {
    fc.assert(
      fc.property(rgb, rgb, (backdrop, source) => {
        for (const value of blended(mode, backdrop, source)) {
          expect(value).toBeGreaterThan(-1e-6)
          expect(value).toBeLessThan(1 + 1e-6)
        }
      }),
    )
  })

  test('with what changes nothing leaves what is under it', () => {
    fc.assert(
      fc.property(rgb, (backdrop) => {
        for (const [mode, source] of [
          ['multiply', 1],
          ['screen', 0],
          ['darken', 1],
          ['lighten', 0],
          ['soft-light', 0.5],
          ['difference', 0],
        ] as const)
          blended(mode, backdrop, [source, source, source]).forEach((value, i) => expect(value).toBeCloseTo(backdrop[i]!, 6))
      }),
    )
  })

  test('of half a colour goes half of the way', () => {
    const pixels = new Uint8ClampedArray([200, 100, 0, 255])
    layOver(pixels, 0, { r: 0, g: 0, b: 0, a: 0.5 }, 'multiply')
    expect([...pixels]).toEqual([100, 50, 0, 255])
  })
})

describe('a gradient', () => {
  const red = { r: 255, g: 0, b: 0, a: 1 }
  const clear = { r: 0, g: 0, b: 0, a: 0 }
  const blue = { r: 0, g: 0, b: 255, a: 1 }

  test('that lets through keeps its colour to the end', () => {
    expect(colourBetween(red, clear, 0.5, 'srgb')).toEqual({ ...red, a: 0.5 })
    const { r, g, b, a } = colourBetween(red, clear, 0.5, 'oklch')
    expect([Math.round(r), Math.round(g), Math.round(b), a]).toEqual([255, 0, 0, 0.5])
  })

  test('takes the shorter way round the hues', () => {
    const { r, g, b } = colourBetween(red, blue, 0.5, 'oklch')
    // From red to blue by way of purple, not of green.
    expect(g).toBeLessThan(60)
    expect(Math.min(r, b)).toBeGreaterThan(120)
  })

  test('runs along the line of CSS, from corner to corner', () => {
    const read = gradientIn(
      {
        kind: 'linear',
        angle: 45,
        space: 'srgb',
        stops: [
          { at: 0, colour: red },
          { at: 100, colour: blue },
        ],
      },
      { width: 200, height: 100 },
    )
    expect(read(0, 100)).toEqual(red)
    expect(read(200, 0)).toEqual(blue)
    expect(read(100, 50).r).toBeCloseTo(127.5, 0)
  })

  test('never goes back before a stop that is listed earlier', () => {
    const stops = [
      { at: 50, colour: red },
      { at: 20, colour: blue },
    ]
    const read = gradientIn({ kind: 'linear', angle: 90, space: 'srgb', stops }, { width: 100, height: 10 })
    expect([read(40, 5), read(60, 5)]).toEqual([red, blue])
  })
})
