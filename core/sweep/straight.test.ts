import { describe, expect, test } from 'vitest'
import { type At, lines, readingOf } from './scene.fixture'
import { isStraight } from './straight'

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

  test('a page that becomes wider than its window, a block that comes, and letters of another size are not', () => {
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
    const sized = (width: number) => readingOf({ width, boxes: { words: [0, 0, 9, 9] }, words: { words: { size: width / 20 } } })
    expect(isStraight(sized(300), sized(310), sized(320))).toBe(false)
  })
})
