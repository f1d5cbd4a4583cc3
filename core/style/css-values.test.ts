import { expect, test } from 'vitest'
import { colourToCss, lengthInWords, lengthToCss, shadowToCss } from './css-values'
import { role } from '#core/values/colour'

test('lengths', () => {
  expect(lengthToCss({ value: 0, unit: 'rem' })).toBe('0')
  expect(lengthToCss({ token: 'space-4' })).toBe('var(--space-4)')
  expect(lengthToCss({ value: 80, unit: 'vh' })).toBe('80vh')
  expect(lengthToCss({ value: 80, unit: 'vh' }, 'property')).toBe('calc(var(--vh) * 80)')
  expect(lengthToCss({ value: 3, unit: 'columns' })).toBe('calc((100% + var(--gutter)) / var(--columns) * 3 - var(--gutter))')
  expect(lengthInWords({ value: 24, unit: 'px' })).toBe('24 px')
})

test('colours, with and without an alpha', () => {
  expect(colourToCss(role('ink'))).toBe('var(--ink)')
  expect(colourToCss(role('ink', 0.25))).toBe('color-mix(in srgb, var(--ink) 25%, transparent)')
  expect(colourToCss({ hex: '#FFD36B' })).toBe('#ffd36b')
  expect(colourToCss({ hex: '#FFD36B', alpha: 0.5 })).toBe('#ffd36b80')
})

test('shadows', () => {
  expect(shadowToCss({ token: 'shadow-1' })).toBe('var(--shadow-1)')
  expect(shadowToCss({ token: 'none' })).toBe('none')
  expect(shadowToCss({ x: 0, y: 4, blur: 12, spread: -2, colour: { hex: '#000000', alpha: 0.2 } })).toBe(
    '0px 4px 12px -2px #00000033',
  )
})
