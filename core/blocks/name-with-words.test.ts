import { expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block } from './index'
import { testIds } from '#core/values/ids.fixture'
import { nameWithWords, shortName } from './name-with-words'

const makeId = testIds()
const text = (words: string) => ({ ...newBlock('text', makeId), words: { en: [words] } }) as Block
const group = (...children: Block[]) => ({ ...newBlock('group', makeId), children }) as Block

test('a block is named by its own name, or by its kind and the first words in it', () => {
  const inner = group(text('  '), text('The lamps of the village go out one by one'))
  expect(nameWithWords(inner, 'en')).toBe('Group: The lamps of the village go …')
  expect(nameWithWords(group(inner, group(text('Later'))), 'en')).toBe('Group of 2: The lamps of the village go …')
  expect(nameWithWords({ ...inner, name: 'Passages' }, 'en')).toBe('Passages')
  expect(nameWithWords(group(), 'en')).toBe('Group')
  expect(nameWithWords({ ...newSection('story', makeId), children: [text('Later')] }, 'en')).toBe('Story')
})

test('where there is little room its words are enough', () => {
  expect(shortName(text('Dusk'), 'en')).toBe('Dusk')
  expect(shortName(text(''), 'en')).toBe('Text')
  expect(shortName(text('Dusk'), 'de')).toBe('Text')
})
