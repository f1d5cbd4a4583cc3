import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Held, halved, sweep } from './sweep'

const keysAt = (truth: readonly Held[], width: number) =>
  new Set(truth.filter((one) => width >= one.from && width <= one.to).map((one) => one.key))

/** Runs over what is known beforehand, and counts the widths that were asked for. */
function counted<Given>(run: Generator<number, Held[], Given>, look: (width: number) => Given): { found: Held[]; asked: number } {
  for (let next = run.next(), asked = 0; ; asked++) {
    if (next.done) return { found: next.value, asked }
    next = run.next(look(next.value))
  }
}

/** What moves evenly but for the widths at which something begins or ends: a count of them below each width. */
const happened = (truth: readonly Held[], width: number) =>
  truth.filter((one) => one.from <= width).length + truth.filter((one) => one.to < width).length

const swept = (truth: readonly Held[], from: number, to: number, step: number) =>
  counted(
    sweep<number>(
      from,
      to,
      () => step,
      [],
      (before, between, after) => before === between && between === after,
    ),
    (width) => ({ keys: keysAt(truth, width), seen: happened(truth, width) }),
  )

/** Ranges out of pairs of a gap and a length, one after the other, the first at 280 px or later; and where the last ends. */
function rangesOf(list: readonly (readonly [gap: number, length: number])[]): { truth: Held[]; end: number } {
  let at = 279
  const truth = list.map(([gap, length], n) => {
    const from = at + gap + 1
    at = from + length - 1
    return { key: n % 2 === 0 ? 'even' : 'odd', from, to: at }
  })
  return { truth, end: at }
}

describe('a run through widths', () => {
  test('finds ranges to the px, and passes over steps in which nothing happens', () => {
    const truth = [{ key: 'a', from: 280, to: 341 }]
    const { found, asked } = swept(truth, 280, 1920, 20)
    expect(found).toEqual(truth)
    // Each step is asked for at its end, and one is halved.
    expect(asked).toBe(1 + 82 + 4)
  })

  test('looks in steps first, which may grow, from the least width to the greatest', () => {
    const asked: number[] = []
    const even = (a: number, b: number, c: number) => a === b && b === c
    const run = sweep<number>(280, 600, (width) => width / 4, [420], even)
    counted(run, (width) => {
      asked.push(width)
      return { keys: new Set<string>(), seen: width < 500 ? 0 : 1 }
    })
    expect(asked.slice(0, 6)).toEqual([280, 350, 420, 438, 548, 600])
    // Between 438 and 548 it halves; nothing else is looked at.
    expect(asked.slice(6).every((one) => one > 438 && one < 600)).toBe(true)
    expect(asked.length).toBeLessThan(20)
  })

  test('finds any ranges, however short they are and near to each other', () => {
    const range = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 90 }))
    fc.assert(
      fc.property(fc.array(range, { minLength: 1, maxLength: 6 }), (list) => {
        const { truth, end } = rangesOf(list)
        expect(swept(truth, 280, end + 30, 20).found).toEqual(truth)
      }),
    )
  })

  test('finds what holds everywhere as one range, and what holds nowhere not', () => {
    expect(swept([{ key: 'a', from: 0, to: 9999 }], 280, 1920, 20).found).toEqual([{ key: 'a', from: 280, to: 1920 }])
    expect(swept([], 280, 1920, 20).found).toEqual([])
  })
})

describe('a run that halves', () => {
  test('finds any ranges that are longer than a step, and further apart, with few looks', () => {
    const range = fc.tuple(fc.integer({ min: 21, max: 80 }), fc.integer({ min: 21, max: 300 }))
    fc.assert(
      fc.property(fc.array(range, { minLength: 1, maxLength: 6 }), (list) => {
        const { truth, end } = rangesOf(list)
        const { found, asked } = counted(halved(280, end + 30, 20), (width) => keysAt(truth, width))
        expect(found).toEqual(truth)
        expect(asked).toBeLessThan((end - 250) / 20 + 2 + 12 * truth.length)
      }),
    )
  })
})
