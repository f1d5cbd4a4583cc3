import { expect, test } from 'vitest'
import { readRgba, sideOf } from './words-over'

test('computed colours are read, with their opacity', () => {
  expect(readRgba('rgb(12, 34, 56)')).toEqual({ r: 12, g: 34, b: 56, a: 1 })
  expect(readRgba('rgba(12, 34, 56, 0.5)')).toEqual({ r: 12, g: 34, b: 56, a: 0.5 })
  expect(readRgba('color(display-p3 1 0 0)')).toBeUndefined()
})

test('a scrim begins at the side that the words are nearest to', () => {
  const box = { width: 1000, height: 500 }
  expect(sideOf(200, 250, box)).toBe(90)
  expect(sideOf(900, 250, box)).toBe(270)
  expect(sideOf(500, 60, box)).toBe(180)
  expect(sideOf(500, 440, box)).toBe(0)
})
