import { expect, test } from 'vitest'
import { partOf } from './part'
import { readingOf } from './scene.fixture'

const page = (by: number) => ({
  ...readingOf({
    width: 400,
    boxes: { one: [0, 0, 400, 90], two: [0, 90, 400, 60], words: [20, 110, 100, 20] },
    words: { words: {} },
  }),
  past: { by },
})
const ids = new Set(['two', 'words'])

test('what was read of a section is as if it stood alone', () => {
  const part = partOf(page(0), ids, 'two')!
  expect([...part.blocks.keys()]).toEqual(['two', 'words'])
  expect(part.blocks.get('two')!.box).toEqual({ left: 0, top: 0, right: 400, bottom: 60 })
  expect(part.blocks.get('words')!.words!.lines[0]!.top).toBe(20)
  expect([part.width, part.past]).toEqual([400, { by: 0 }])
})

test('of a page that is wider than its window, each section is to be looked at by itself', () => {
  expect(partOf(page(3), ids, 'two')).toBeUndefined()
})
