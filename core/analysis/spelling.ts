import { hasWords } from '#core/blocks/tree'
import type { Page, Site } from '#core/site/schema'
import { visibleBlocks } from '#core/site/visible'
import { plainText } from '#core/values/words'

/** Longest word that is looked up, and most words of one page. */
export const LONGEST_WORD = 60
export const MOST_WORDS = 20_000

/** A word of a page, and the first block that has it. */
export type SpeltWord = { word: string; block: string }

/** Addresses, which are no words: of mail, of the web, of files. */
const ADDRESS = /(?<!\S)[^\s@]+@\S+|\bhttps?:\S+|\b[\w-]+(\.[\w-]+)+\b/gi

const WORD = /[\p{L}\p{M}\p{N}]+(?:[’'-][\p{L}\p{M}\p{N}]+)*/gu

/** The words of a site's name and of who it belongs to, which are spelt as they are. */
export const namesOf = ({ name, launch }: Pick<Site, 'name' | 'launch'>): string[] =>
  [...`${name} ${launch?.owner ?? ''}`.matchAll(WORD)].map(([word]) => word.slice(0, LONGEST_WORD))

/** The words of a page in one language, each once, as a dictionary has them: without what has figures, single letters, and addresses. */
export function wordsToSpell(site: Pick<Site, 'language'>, page: Page): SpeltWord[] {
  const found = new Map<string, string>()
  for (const { block } of visibleBlocks(page)) {
    if (!hasWords(block)) continue
    const text = plainText(block.words[site.language] ?? [])
      .replace(/[\u00ad\u200b]/g, '')
      .replace(ADDRESS, ' ')
    for (const [word] of text.matchAll(WORD)) {
      // Single letters, figures and what is written in capitals alone are spelt in no way of their own.
      if (word.length < 2 || word.length > LONGEST_WORD || /\p{N}/u.test(word) || word === word.toUpperCase()) continue
      if (!found.has(word) && found.size < MOST_WORDS) found.set(word, block.id)
    }
  }
  return [...found].map(([word, block]) => ({ word, block }))
}
