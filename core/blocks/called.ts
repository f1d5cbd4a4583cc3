import { blockName } from './block-name'
import type { Block } from './index'
import { hasWords } from './tree'
import { plainText } from '#core/values/words'

const MOST = 40

/** What a block is called in a sentence: by its words where it has some, else by its name. */
export function called({ block }: { block: Block }, language: string): string {
  const words = hasWords(block)
    ? plainText(block.words[language] ?? [])
        .trim()
        .replace(/\s+/g, ' ')
    : ''
  const name = words !== '' ? words : (block.name ?? (block.kind === 'section' ? blockName(block) : undefined))
  if (!name) return `a ${block.kind}`
  return `“${name.length > MOST ? `${name.slice(0, MOST - 1).trimEnd()}…` : name}”`
}

/** The same at the start of a sentence. */
export function calledFirst(one: { block: Block }, language: string): string {
  const name = called(one, language)
  return name.charAt(0).toUpperCase() + name.slice(1)
}

/** `17 px`, `1 px`: a measure, whole. */
export const px = (value: number): string => `${Math.max(1, Math.round(value))} px`
