import { expect, test } from 'vitest'
import { spaceAreas } from './space-areas'

const NONE = { top: 0, bottom: 0, left: 0, right: 0, leftBy: 'paddingSides', rightBy: 'paddingSides', gap: 0, rowGap: 0 } as const
const box = (left: number, top: number, width: number, height: number) => ({ left, top, width, height })

test('paddings lie inside the edges, in px of the screen, and say their px of the page', () => {
  const areas = spaceAreas(box(100, 50, 200, 120), [], { ...NONE, top: 40, bottom: 20, left: 16, right: 16 }, 0.5)
  expect(areas.map(({ name, box: area, px }) => [name, area, px])).toEqual([
    ['paddingTop', box(100, 50, 200, 20), 40],
    ['paddingBottom', box(100, 160, 200, 10), 20],
    ['paddingSides', box(100, 70, 8, 90), 16],
    ['paddingSides', box(292, 70, 8, 90), 16],
  ])
})

test('a side that has a padding of its own is an area of its own', () => {
  const areas = spaceAreas(box(0, 0, 100, 100), [], { ...NONE, left: 8, right: 24, rightBy: 'paddingEnd' }, 1)
  expect(areas.map(({ name, box: area }) => [name, area])).toEqual([
    ['paddingSides', box(0, 0, 8, 100)],
    ['paddingEnd', box(76, 0, 24, 100)],
  ])
})

test('gaps stand between neighbours in a row and between rows, and an offset is none', () => {
  const cells = [box(0, 0, 100, 50), box(124, 0, 100, 80), box(272, 0, 100, 50), box(0, 112, 100, 50)]
  const areas = spaceAreas(box(0, 0, 400, 200), cells, { ...NONE, gap: 24, rowGap: 32 }, 1)
  expect(areas.map(({ name, box: area }) => [name, area])).toEqual([
    ['gap', box(100, 0, 24, 80)],
    ['rowGap', box(0, 80, 372, 32)],
  ])
})

test('without space there is nothing to drag', () => {
  expect(spaceAreas(box(0, 0, 100, 100), [box(0, 0, 100, 50), box(0, 50, 100, 50)], NONE, 1)).toEqual([])
})
