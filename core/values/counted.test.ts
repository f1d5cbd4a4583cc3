import { expect, test } from 'vitest'
import { counted } from './counted'

test('one is one, and others are many', () => {
  expect([counted(1, 'link'), counted(0, 'link'), counted(3, 'entry'), counted(2, 'day')]).toEqual([
    '1 link',
    '0 links',
    '3 entries',
    '2 days',
  ])
})
