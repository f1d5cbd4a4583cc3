import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import type { AccessRead } from '#core/render/access-script'
import { walkPage } from '#core/site/tree'
import { accessFindings } from './access'

const page = demoSite().pages[0]!
const blocks = new Map([...walkPage(page)].map((one) => [one.id, one]))
const button = [...blocks.values()].find((one) => one.kind === 'button')!
const read = (width: number, more: Partial<AccessRead> = {}): AccessRead => ({
  width,
  done: 1,
  of: 1,
  found: [],
  order: [],
  unseen: [],
  covered: [],
  ...more,
})
const violation = { rule: 'color-contrast', help: 'Elements must have contrast', grave: true, state: '', why: 'It has 2 : 1.' }

test('what holds at several views is one finding, with the block by its words', () => {
  const found = [{ ...violation, block: button.id }]
  expect(accessFindings([read(1280, { found }), read(375, { found }), read(768)], blocks, 'en')).toEqual([
    {
      kind: 'color-contrast',
      fault: true,
      block: button.id,
      sentence: '“Book an autumn night”: elements must have contrast.',
      why: 'It has 2 : 1.',
      ranges: [
        { from: 375, to: 375 },
        { from: 1280, to: 1280 },
      ],
    },
  ])
})

test('what was pressed before is said, and what is not grave comes last', () => {
  const found = [
    { ...violation, grave: false, rule: 'region' },
    { ...violation, state: 'Menu' },
  ]
  const [first, second] = accessFindings([read(375, { found, unseen: [button.id, 'gone'] })], blocks, 'en')
  expect(first!.sentence).toBe('Elements must have contrast, once “Menu” is pressed.')
  expect(second).toMatchObject({ kind: 'unseenFocus', block: button.id, fault: true })
})
