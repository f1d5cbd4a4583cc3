import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lengthText, parseLength } from './length-text'
import { type Length, LENGTH_UNITS } from '#core/values/length'

const TOKENS = ['space-1', 'space-4']

describe('lengths as they are typed', () => {
  test.each<[string, Length]>([
    ['24', { value: 24, unit: 'px' }],
    ['1.5rem', { value: 1.5, unit: 'rem' }],
    ['50 %', { value: 50, unit: '%' }],
    ['3 cols', { value: 3, unit: 'columns' }],
    ['1,5 rem', { value: 1.5, unit: 'rem' }],
    ['space-4', { token: 'space-4' }],
    ['38 to 76', { fluid: { from: { at: 375, px: 38 }, to: { at: 1360, px: 76 } } }],
    ['38 at 400 to 76 at 1200', { fluid: { from: { at: 400, px: 38 }, to: { at: 1200, px: 76 } } }],
  ])('%s', (text, length) => {
    expect(parseLength(text, TOKENS)).toEqual(length)
  })

  test.each(['', 'wide', 'space-9', '12 furlongs', '38 at 900 to 76 at 400'])('“%s” is none', (text) => {
    expect(parseLength(text, TOKENS)).toBeUndefined()
  })

  test('a bare figure takes the unit that the field had', () => {
    expect(parseLength('40', [], '%')).toEqual({ value: 40, unit: '%' })
  })

  test('what is shown is read back as it was', () => {
    const simple = fc.record({
      value: fc.integer({ min: -900, max: 900 }).map((n) => n / 4),
      unit: fc.constantFrom(...LENGTH_UNITS),
    })
    const px = fc.integer({ min: 1, max: 200 })
    const fluid = fc.record({
      from: fc.record({ at: fc.integer({ min: 300, max: 700 }), px }),
      to: fc.record({ at: fc.integer({ min: 701, max: 1900 }), px }),
    })
    fc.assert(
      fc.property(
        fc.oneof(
          simple,
          fc.constant({ token: 'space-1' }),
          fluid.map((one) => ({ fluid: one })),
        ),
        (length) => {
          expect(parseLength(lengthText(length as Length), TOKENS)).toEqual(length)
        },
      ),
    )
  })
})
