import { expect, test } from 'vitest'
import { sideOf } from './words-over'

test('a scrim begins at the side that the words are nearest to', () => {
  const box = { width: 1000, height: 500 }
  expect(sideOf(200, 250, box)).toBe(90)
  expect(sideOf(900, 250, box)).toBe(270)
  expect(sideOf(500, 60, box)).toBe(180)
  expect(sideOf(500, 440, box)).toBe(0)
})
