import { hasWords } from '#core/blocks/tree'
import { isPlaceholder } from '#core/deck/filler'
import { plainText } from '#core/values/words'
import { type Check, counted, type Subject } from '#core/analysis/finding'

const wordsOf = ({ blocks, site }: Subject) =>
  blocks.filter(hasWords).map((block) => ({ block, text: plainText(block.words[site.language] ?? []) }))

/** Slots without words, which a published page leaves out. */
export const emptySlots: Check = (subject) => {
  const empty = wordsOf(subject).filter(({ text }) => text.trim() === '')
  if (empty.length === 0) return []
  const sentence = `${counted(empty.length, 'slot has', 'slots have')} no words and ${empty.length === 1 ? 'is' : 'are'} left out.`
  return [{ block: empty[0]!.block.id, sentence }]
}

/** Slots that still have placeholder words. */
export const placeholders: Check = (subject) => {
  const found = wordsOf(subject).filter(({ text }) => isPlaceholder(text))
  if (found.length === 0) return []
  return [{ block: found[0]!.block.id, sentence: `${counted(found.length, 'slot has', 'slots have')} placeholder words.` }]
}
