import { expect, test } from 'vitest'
import { stickyWay } from './sticky-way'

const holder = { top: 100, bottom: 700 }

test('in a column a block holds to the end of what it stands in', () => {
  expect(stickyWay({ top: 120, height: 80, margin: 0, holder })).toBe(500)
  expect(stickyWay({ top: 120, height: 80, margin: 24, holder })).toBe(476)
  expect(stickyWay({ top: 650, height: 80, margin: 0, holder })).toBe(0)
})

test('in a grid it holds to the end of the rows that it takes', () => {
  const grid = { rows: [200, 100, 260], gap: 20 }
  expect(stickyWay({ top: 100, height: 50, margin: 0, holder, grid: { ...grid, span: 1 } })).toBe(150)
  expect(stickyWay({ top: 320, height: 50, margin: 0, holder, grid: { ...grid, span: 1 } })).toBe(50)
  expect(stickyWay({ top: 100, height: 50, margin: 0, holder, grid: { ...grid, span: 2 } })).toBe(270)
  expect(stickyWay({ top: 440, height: 50, margin: 0, holder, grid: { ...grid, span: 4 } })).toBe(210)
})
