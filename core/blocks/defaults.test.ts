import { expect, test } from 'vitest'
import { role } from '#core/values/colour'
import { pixels, token } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'
import { likeBefore, newBlock, nextBlock } from './defaults'

const makeId = testIds()
const styled = (kind: 'text' | 'link', more: object = {}) => ({
  ...newBlock(kind, makeId),
  type: 'small',
  ...more,
  style: {
    base: {
      ink: role('accent'),
      minHeight: pixels(48),
      start: 3,
      rowSpan: 2,
      position: 'sticky' as const,
      spaceAfter: token('space-2'),
    },
    below: { narrow: { order: 2, span: 4 } },
    hover: { underline: true },
  },
})

test('what Enter makes looks as what it follows, but for its place', () => {
  const link = styled('link')
  const next = nextBlock(link, makeId)
  expect(next).toMatchObject({ kind: 'link', type: 'small' })
  expect(next.id).not.toBe(link.id)
  expect(next.style).toEqual({
    base: { ink: role('accent'), minHeight: pixels(48), spaceAfter: token('space-2') },
    below: { narrow: { span: 4 } },
    hover: { underline: true },
  })
})

test('a block of another kind begins as its own; heights are carried on in lists and navs alone', () => {
  const text = newBlock('text', makeId)
  expect(likeBefore(text, styled('link'))).toBe(text)
  expect(likeBefore(text, undefined)).toBe(text)
  expect(likeBefore(text, styled('text')).style.base).toEqual({ ink: role('accent'), spaceAfter: token('space-2') })
  expect(nextBlock(newBlock('heading', makeId), makeId)).toMatchObject({ kind: 'text', style: {} })
})
