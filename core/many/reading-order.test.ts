import { expect, test } from 'vitest'
import { seenBefore } from './reading-order'

const box = (left: number, top: number, width = 100, height = 50) => ({ left, top, width, height })

test.each([
  ['a row', [box(0, 0), box(124, 0), box(248, 0)], undefined],
  ['a column', [box(0, 0), box(0, 60), box(0, 120)], undefined],
  ['rows of a grid', [box(0, 0), box(124, 0), box(0, 60), box(124, 60)], undefined],
  ['one block over another', [box(0, 0, 400, 300), box(40, 200)], undefined],
  ['one that is read second and stands at the left', [box(124, 0), box(0, 0)], [0, 1]],
  ['one that is read last and stands on top', [box(0, 60), box(0, 120), box(0, 0)], [1, 2]],
  ['one without size between', [box(124, 0), box(0, 0, 0, 0), box(0, 0)], [0, 2]],
] as const)('of %s', (_, boxes, found) => {
  expect(seenBefore(boxes)).toEqual(found)
})
