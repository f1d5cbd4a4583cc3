import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { writtenOut } from './written-out'

test('a colour is written without a custom property, with its alpha, and seen through where there is none', () => {
  const { guide } = demoSite()
  const { role, hex } = guide.colours[0]!
  expect(writtenOut({ role }, guide.colours)).toBe(hex.toLowerCase())
  expect(writtenOut({ role, alpha: 0.5 }, guide.colours)).toBe(`${hex.toLowerCase()}80`)
  expect(writtenOut({ hex: '#ABCDEF' }, guide.colours)).toBe('#abcdef')
  expect(writtenOut({ role: 'nowhere' }, guide.colours)).toBe('transparent')
})
