import { expect, test } from 'vitest'
import { stickyWay } from './sticky-way'

const holder = { top: 100, bottom: 700 }

test('a block holds to the end of what it stands in, whatever rows it takes there', () => {
  expect(stickyWay({ top: 120, height: 80, margin: 0, holder })).toBe(500)
  expect(stickyWay({ top: 120, height: 80, margin: 24, holder })).toBe(476)
  expect(stickyWay({ top: 650, height: 80, margin: 0, holder })).toBe(0)
})
