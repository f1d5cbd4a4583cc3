import { expect, test } from 'vitest'
import { lengthProblem } from './length-range'

test.each([
  [{ value: 40, unit: 'px' }, 0, undefined],
  [{ value: -10, unit: 'px' }, undefined, undefined],
  [{ token: 'space-4' }, 0, undefined],
  [{ value: -3, unit: 'columns' }, undefined, '0 to 24 columns'],
  [{ value: -1, unit: 'px' }, 0, '0 to 10,000 px'],
  [{ value: 1e9, unit: 'px' }, 0, '0 to 10,000 px'],
  [{ value: Number.NaN, unit: '%' }, 0, '0 to 10,000 %'],
  [{ fluid: { from: { at: 375, px: -4 }, to: { at: 1360, px: 8 } } }, 0, '0 to 10,000 px'],
  [undefined, 0, 'a figure with its unit, a token, or two figures as “38 to 76”'],
] as const)('of %j, at least %s, it says %s', (length, least, said) => {
  expect(lengthProblem(length, least)).toBe(said)
})
