import { expect, test } from 'vitest'
import { reachAfter } from './edge-drag'

/** Columns of 1,120 px with 80 px beside them. */
const pulled = (edge: 'left' | 'right', left: number, right: number, by: number) => reachAfter(edge, { left, right, by }, 1120, 80)

test('an edge that is dragged past the columns by half of what is beside them goes on to the window', () => {
  expect(pulled('right', 400, 1120, 30)).toBeUndefined()
  expect(pulled('right', 400, 1120, 50)).toBe('right')
  expect(pulled('left', 0, 500, -50)).toBe('left')
})

test('a block that reaches to one edge reaches to both when the other is dragged out, and comes back', () => {
  expect(pulled('left', 0, 1200, -60)).toBe('full')
  expect(pulled('left', -80, 1200, 200)).toBe('right')
  expect(pulled('right', -80, 1200, -300)).toBe('left')
})

test('where next to nothing is beside the columns there is no edge to drag to', () => {
  expect(reachAfter('right', { left: 0, right: 300, by: 40 }, 300, 4)).toBeUndefined()
})
