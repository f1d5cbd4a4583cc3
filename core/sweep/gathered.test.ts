import { expect, test } from 'vitest'
import type { WidthFinding } from './find'
import { gathered } from './gathered'

const jump = (section: string, below: number, factor: number): WidthFinding => ({
  kind: 'jump',
  fault: false,
  block: section,
  section,
  ranges: [{ from: below - 1, to: below }],
  worst: below - 1,
  factor,
  sentence: `${section} becomes ${factor} times as high.`,
})
const other: WidthFinding = { kind: 'loneWord', fault: false, block: 'a', section: 'a', ranges: [], worst: 719, sentence: 'Alone.' }

test('sections that jump at one breakpoint are one line, which stands where the first stood and is that of the greatest', () => {
  const [a, b, c] = [jump('a', 720, 1.5), jump('b', 720, 0.4), jump('c', 1100, 1.4)]
  const lines = gathered([a, other, b, c])
  expect(lines.map((one) => one.sentence)).toEqual([
    '2 sections become 0.40 to 1.50 times as high from one px to the next.',
    'Alone.',
    'c becomes 1.4 times as high.',
  ])
  expect(lines[0]).toMatchObject({ section: 'b', with: [a] })
})

test('what jumps alone is said as it was', () => {
  const one = jump('a', 720, 1.5)
  expect(gathered([one, other])).toEqual([one, other])
})
