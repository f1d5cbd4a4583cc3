import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type Held, sweep } from './sweep'

/** Sweeps over what is known beforehand, and counts the widths that were asked for. */
function swept(truth: readonly Held[], from: number, to: number, step: number): { found: Held[]; asked: number } {
  const run = sweep(from, to, step)
  let asked = 0
  for (let next = run.next(); ; asked++) {
    if (next.done) return { found: next.value, asked }
    const width = next.value
    next = run.next(new Set(truth.filter((one) => width >= one.from && width <= one.to).map((one) => one.key)))
  }
}

test('the ends of a range are found to the px, with few looks', () => {
  const truth = [{ key: 'a', from: 280, to: 341 }]
  const { found, asked } = swept(truth, 280, 1920, 20)
  expect(found).toEqual(truth)
  expect(asked).toBeLessThan(90)
})

test('any ranges that are longer than a step, and further apart, are found exactly', () => {
  const range = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 21, max: 300 }))
  fc.assert(
    fc.property(fc.array(range, { minLength: 1, maxLength: 6 }), (list) => {
      let at = 280
      const truth = list.map(([gap, length], n) => {
        const from = n === 0 ? at + gap : at + gap + 21
        at = from + length
        return { key: n % 2 === 0 ? 'even' : 'odd', from, to: at }
      })
      expect(swept(truth, 280, at + 30, 20).found).toEqual(truth)
    }),
  )
})

test('what holds everywhere is one range, and what holds nowhere is none', () => {
  expect(swept([{ key: 'a', from: 0, to: 9999 }], 280, 1920, 20).found).toEqual([{ key: 'a', from: 280, to: 1920 }])
  expect(swept([], 280, 1920, 20).found).toEqual([])
})
