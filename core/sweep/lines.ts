import type { Fact } from './facts'
import { widthOf, type WordsRead } from './reading'

/** True for words that are read line after line, and not one at a time. */
export const isRunning = ({ block }: Fact): boolean => block.kind === 'text' || block.kind === 'quote' || block.kind === 'item'

/** Characters of the longest line, by its share of the widths of all: letters are as wide there as everywhere in the block. */
export function lineCharacters({ lines, characters }: WordsRead): number {
  const widths = lines.map(widthOf)
  const all = widths.reduce((sum, one) => sum + one, 0)
  return all === 0 ? 0 : (characters * Math.max(...widths)) / all
}
