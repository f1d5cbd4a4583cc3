import { expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { testIds } from '#core/values/ids.fixture'
import { derivedId, independent } from './copies'

const makeId = testIds()
const SHARED = 'shared'

test('what named a part of a shared block names the copy’s own block once that is independent', () => {
  const part = (block: Block, sharedPart: string) => ({ ...block, sharedPart }) as Block
  const supper = part({ ...newBlock('field', makeId), input: 'consent' } as Block, 'part-1')
  const diet = part({ ...newBlock('field', makeId), shownBy: { field: 'part-1', is: 'yes' } } as Block, 'part-2')
  const panel = part({ ...newBlock('group', makeId), panel: 'drop' } as Block, derivedId(SHARED, 'made-of'))
  const opens = part({ ...newBlock('button', makeId), press: { opens: 'made-of' } } as Block, 'part-4')
  const elsewhere = part({ ...newBlock('button', makeId), press: { opens: 'elsewhere' } } as Block, 'part-5')
  const copy = {
    ...newBlock('group', makeId),
    copyOf: { shared: SHARED },
    children: [supper, diet, panel, opens, elsewhere],
  } as Block
  const free = [...walk(independent(copy))]
  expect(free.every((one) => one.copyOf === undefined && one.sharedPart === undefined)).toBe(true)
  expect(free[2]).toMatchObject({ shownBy: { field: supper.id, is: 'yes' } })
  expect(free[4]).toMatchObject({ press: { opens: panel.id } })
  expect(free[5]).toMatchObject({ press: { opens: 'elsewhere' } })
})

test('a block that is no copy stays the object that it is', () => {
  const block = { ...newBlock('group', makeId), children: [newBlock('text', makeId)] } as Block
  expect(independent(block)).toBe(block)
})
