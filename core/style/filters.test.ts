import { expect, test } from 'vitest'
import { filterToCss } from './filters'

test('a filter is written with what differs from the picture as it is, the blur last', () => {
  expect(filterToCss({ blur: 4, brightness: 0.8, contrast: 1, saturation: 1.2, greyscale: 0.5 })).toBe(
    'brightness(0.8) saturate(1.2) grayscale(0.5) blur(4px)',
  )
  expect(filterToCss({ brightness: 1, greyscale: 0, blur: 0 })).toBe('none')
  expect(filterToCss({})).toBe('none')
})
