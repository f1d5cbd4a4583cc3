import fc from 'fast-check'
import { expect, test } from 'vitest'
import { align } from './align'

const steps = (from: string, to: string) =>
  align([...from], [...to], (a, b) => (a === b ? 0 : 1), 0.9)
    .map((step) => `${step.from === undefined ? '+' : from[step.from]}${step.to === undefined ? '-' : to[step.to]}`)
    .join(' ')

test.each([
  ['abc', 'abc', 'aa bb cc'],
  ['abc', 'axc', 'aa bx cc'],
  ['abc', 'ac', 'aa b- cc'],
  ['ac', 'abc', 'aa +b cc'],
  ['x', 'ab', 'xa +b'],
  ['', 'ab', '+a +b'],
])('from %s to %s', (from, to, expected) => {
  expect(steps(from, to)).toBe(expected)
})

test('every item of both lists is in one step, in its order', () => {
  const list = fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 8 })
  fc.assert(
    fc.property(list, list, (from, to) => {
      const made = align(from, to, (a, b) => (a === b ? 0 : 1), 0.9)
      expect(made.flatMap((step) => (step.from === undefined ? [] : [step.from]))).toEqual(from.map((_, i) => i))
      expect(made.flatMap((step) => (step.to === undefined ? [] : [step.to]))).toEqual(to.map((_, i) => i))
    }),
  )
})
