import type { Block } from './index'
import { hasWords, isContainer, walk } from './tree'
import { plainText } from '#core/values/words'
import { blockName } from './block-name'

const MOST = 28

/** The first words in a block, cut after `most` letters; empty where it has none. */
export function firstWords(block: Block, language: string, most = MOST): string {
  for (const one of walk(block)) {
    const text = hasWords(one) ? plainText(one.words[language] ?? []).trim() : ''
    if (text !== '') return text.length > most ? `${text.slice(0, most).trimEnd()} …` : text
  }
  return ''
}

const isNamed = (block: Block) => block.name !== undefined || block.kind === 'section'

/** The name of a block, or else its kind and the first words in it, so that several of a kind can be told apart. */
export function nameWithWords(block: Block, language: string): string {
  const words = isNamed(block) ? '' : firstWords(block, language)
  // One that holds others like it begins with the same words as the first of them.
  const held = isContainer(block) && block.children.some(isContainer) ? ` of ${block.children.length}` : ''
  return words === '' ? blockName(block) : `${blockName(block)}${held}: ${words}`
}

/** The same where there is little room: its name, or else its first words. */
export const shortName = (block: Block, language: string): string =>
  (isNamed(block) ? '' : firstWords(block, language)) || blockName(block)

/** The name of a block; a group without one is told apart by the first words in it. */
export const groupName = (block: Block, language: string): string =>
  block.kind === 'group' ? nameWithWords(block, language) : blockName(block)
