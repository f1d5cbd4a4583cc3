import { expect, test } from 'vitest'
import { equalGaps } from './equal-gaps'

const box = (left: number, top: number, width = 100, height = 50) => ({ left, top, width, height })

test('gaps beside a dragged box that are equal to another of the row are drawn, with that one', () => {
  const others = [box(0, 0), box(124, 0)]
  expect(equalGaps(box(248, 0), others, 1).map((one) => [one.x1, one.x2, one.px])).toEqual([
    [100, 124, 24],
    [224, 248, 24],
  ])
  expect(equalGaps(box(250, 0), others, 1)).toEqual([])
})

test('what stands in another row does not count, and a column is looked at down the page', () => {
  expect(equalGaps(box(248, 0), [box(124, 0), box(0, 400)], 1)).toEqual([])
  const down = equalGaps(box(0, 164), [box(0, 0), box(0, 82)], 1)
  expect(down.map((one) => [one.y1, one.y2, one.px])).toEqual([
    [50, 82, 32],
    [132, 164, 32],
  ])
})

test('figures are those of the page, whatever the view is scaled to; boxes that touch have no gap', () => {
  expect(equalGaps(box(62, 0, 25), [box(0, 0, 25), box(31, 0, 25)], 0.25).map((one) => one.px)).toEqual([24, 24])
  expect(equalGaps(box(200, 0), [box(0, 0), box(100, 0)], 1)).toEqual([])
})
