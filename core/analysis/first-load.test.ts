import { expect, test } from 'vitest'
import { beyond, firstLoad, secondsOf } from './first-load'

const weights = { html: 10_000, css: 20_000, script: 5_000, fonts: 40_000, taken: 300_000, later: 200_000 }

test('a first load has no pictures that wait to be scrolled to', () => {
  expect(firstLoad(weights)).toBe(175_000)
})

test('takes its ways there and back, and its bits', () => {
  expect(secondsOf(0)).toBeCloseTo(0.9)
  expect(secondsOf(200_000)).toBeCloseTo(1.9)
})

test('is beyond its budget by bytes, by seconds, or by both', () => {
  expect(beyond(100_000, { bytes: 200_000, seconds: 6 })).toBeUndefined()
  expect(beyond(302_400, { bytes: 200_000, seconds: 6 })).toBe('100 kB beyond the budget')
  expect(beyond(1_020_000, { bytes: 2_000_000, seconds: 5 })).toBe('1.0 s beyond the budget')
  expect(beyond(1_020_000, { bytes: 916_000, seconds: 5 })).toBe('102 kB and 1.0 s beyond the budget')
})
