import { type Check, nameOf } from '#core/analysis/finding'
import { hasWords } from '#core/blocks/tree'
import { plainText } from '#core/values/words'

/** Words that stand twice in a row on purpose, or may do so in a right sentence. */
const MAY = new Set(['had', 'that', 'bye', 'ha', 'no', 'so', 'very', 'nous', 'vous', 'die', 'das', 'der', 'sie', 'hear'])

/** The first word of a text that stands twice in a row. */
export function wordTwice(text: string): string | undefined {
  const match = [...text.matchAll(/(?<![\p{L}\p{N}’'-])(\p{L}{2,})\s+\1(?![\p{L}\p{N}’'-])/giu)].find(
    ([, word]) => !MAY.has(word!.toLowerCase()),
  )
  return match?.[1]
}

/** Words that stand twice in a row, which eyes read over. */
export const saidTwice: Check = ({ blocks, site: { language } }) =>
  blocks.map((block) => {
    if (!hasWords(block)) return undefined
    const word = wordTwice(plainText(block.words[language] ?? []))
    return word === undefined
      ? undefined
      : { block: block.id, fault: false, sentence: `“${word}” stands twice in a row in “${nameOf(block)}”.` }
  })
