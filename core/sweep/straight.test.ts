import { describe, expect, test } from 'vitest'
import { type At, lines, readingOf } from './scene.fixture'
import { isStraight, straightWhere } from './straight'

/** A page of one block of words, whose box is what a function says of a width. */
const at = (width: number, box: (width: number) => At, more: object = {}) => ({
  ...readingOf({ width, boxes: { words: box(width) }, words: { words: lines(box(width), 1) } }),
  ...more,
})
const even = (box: (width: number) => At, more: (width: number) => object = () => ({})) =>
  isStraight(at(300, box, more(300)), at(310, box, more(310)), at(320, box, more(320)))

describe('between two widths', () => {
  test('what grows or moves evenly is straight, also where the middle is not half way', () => {
    expect(even((width) => [width / 2, 0, width - 40, 30])).toBe(true)
    const box = (width: number): At => [width / 2, 0, width, 30]
    expect(isStraight(at(300, box), at(307, box), at(320, box))).toBe(true)
  })

  test('what jumps, and jumps back, is not', () => {
    expect(even((width) => [0, width === 310 ? 4 : 0, 200, 30])).toBe(false)
    expect(even((width) => [0, width > 305 ? 4 : 0, 200, 30])).toBe(false)
  })

  test('a page that becomes wider than its window, and a block that comes, are not', () => {
    expect(
      even(
        () => [0, 0, 200, 30],
        (width) => ({ past: { by: width === 310 ? 3 : 0 } }),
      ),
    ).toBe(false)
    const with2 = readingOf({ width: 310, boxes: { words: [0, 0, 9, 9], more: [0, 0, 9, 9] } })
    const plain = (width: number) => readingOf({ width, boxes: { words: [0, 0, 9, 9] } })
    expect(isStraight(plain(300), with2, plain(320))).toBe(false)
    expect(isStraight(plain(300), plain(310), plain(320))).toBe(true)
  })

  test('letters that grow evenly are, with sides a little off; those that grow otherwise are not', () => {
    const sized = (size: (width: number) => number, off = 0) => {
      const one = (width: number) =>
        readingOf({
          width,
          boxes: { words: [0, 0, 200 + (width === 310 ? off : 0), 30] },
          words: { words: { size: size(width) } },
        })
      return isStraight(one(300), one(310), one(320))
    }
    const growing = (width: number) => width / 20
    expect(sized(growing)).toBe(true)
    expect([1, 3, 4].map((off) => sized(growing, off))).toEqual([true, true, false])
    expect(sized(() => 16, 1)).toBe(false)
    expect(sized((width) => (width > 305 ? 18 : 16))).toBe(false)
  })
})

describe('where words flow', () => {
  type Set = { top?: number; lines?: number; spare?: number; size?: number }
  const flowing = straightWhere(
    () => true,
    () => undefined,
  )
  const read = (width: number, { top = 0, lines: count = 1, spare = 40, size = 16 }: Set) =>
    readingOf({
      width,
      boxes: { words: [0, top, width, 30] },
      words: { words: { count, spare, size } },
    })
  const three = (is: typeof isStraight, a: Set, b: Set, c: Set) => is(read(300, a), read(310, b), read(320, c))

  test('a line more or less, and what it moves, is nothing; elsewhere it is', () => {
    const sets = [
      { lines: 3, top: 90 },
      { lines: 2, top: 60 },
      { lines: 2, top: 60 },
    ] as const
    expect(three(flowing, ...sets)).toBe(true)
    expect(three(isStraight, ...sets)).toBe(false)
  })

  test('the widest word has room at all three or at none; letters that grow leave some', () => {
    expect(three(flowing, { spare: 2 }, { spare: 1 }, { spare: 0 })).toBe(true)
    expect(three(flowing, { spare: -8 }, { spare: -6 }, { spare: -4 })).toBe(true)
    expect(three(flowing, { spare: 1 }, { spare: 0 }, { spare: -1 })).toBe(false)
    const growing = (spare: number) => three(flowing, { spare, size: 15 }, { spare, size: 15.5 }, { spare, size: 16 })
    expect([3.2, 3, -3, -3.2].map(growing)).toEqual([true, false, false, true])
  })

  test('what is above a section moves all of it', () => {
    const box = (top: number) => ({ band: [0, top, 300, 60], words: [0, top + 20, 200, 30] }) satisfies Record<string, At>
    const at = (width: number, top: number) => readingOf({ width, boxes: box(top) })
    const within = straightWhere(
      () => false,
      () => 'band',
    )
    const readings = [at(300, 0), at(310, 40), at(320, 40)] as const
    expect(within(...readings)).toBe(true)
    expect(isStraight(...readings)).toBe(false)
  })
})
