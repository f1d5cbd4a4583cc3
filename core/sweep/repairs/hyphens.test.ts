import { expect, test } from 'vitest'
import type { Block } from '#core/blocks/index'
import { newBlock } from '#core/blocks/defaults'
import { testIds } from '#core/values/ids.fixture'
import type { Span } from '#core/values/words'
import { withSoftHyphens, wordsToPart } from './hyphens'

const text = (...en: Span[]): Block => ({ ...newBlock('text', testIds()), words: { en } }) as Block
const parts = new Map([
  ['Spectrohelioscope', 'Spec\u00adtro\u00adhe\u00adlio\u00adscope'],
  ['telescopes', 'tele\u00adscopes'],
  ['observes', 'observes'],
])

test('long words of a block are asked for, the longest first; those that can be parted already are not', () => {
  const block = text(
    'The Spectrohelioscope and ',
    { kind: 'strong', children: ['telescopes'] },
    ' of the obser\u00advatory, 12345678',
  )
  expect(wordsToPart({ kind: 'brokenWord' }, block, 'en')).toEqual(['Spectrohelioscope', 'telescopes'])
  expect(wordsToPart({ kind: 'longLines' }, block, 'en')).toEqual([])
  expect(wordsToPart({ kind: 'brokenWord' }, block, 'de')).toEqual([])
  expect(wordsToPart({ kind: 'brokenWord' }, undefined, 'en')).toEqual([])
})

test('soft hyphens go into the longest word, or into all; marks and links stay around them', () => {
  const block = text('The Spectrohelioscope observes ', { kind: 'link', href: '#a', children: ['telescopes'] }, { kind: 'break' })
  const [longest, all, ...more] = withSoftHyphens(block, 'en', parts)
  expect(more).toEqual([])
  expect(longest).toEqual({
    label: 'Soft hyphens in “Spectrohelioscope”',
    edit: {
      kind: 'words',
      block: block.id,
      words: {
        en: [
          'The Spec\u00adtro\u00adhe\u00adlio\u00adscope observes ',
          { kind: 'link', href: '#a', children: ['telescopes'] },
          { kind: 'break' },
        ],
      },
    },
  })
  expect(all!.label).toBe('Soft hyphens in 2 long words')
  expect(JSON.stringify(all!.edit)).toContain('tele\u00adscopes')
})

test('what cannot be parted, or came back as another word, is no repair', () => {
  expect(withSoftHyphens(text('It observes'), 'en', new Map([['observes', 'observes']]))).toEqual([])
  expect(withSoftHyphens(text('It observes'), 'en', new Map([['observes', 'ob\u00adserved']]))).toEqual([])
})
