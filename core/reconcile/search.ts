import type { Edit } from '#core/edits/index'
import { unplacedList } from '#core/edits/list'
import type { Site } from '#core/site/schema'
import { plainText, type Span } from '#core/values/words'
import { deckOf } from '#core/deck/deck'

export type SearchOptions = { matchCase: boolean; wholeWords: boolean }
/** A passage that a search found: how often, the words around, and where it stands. */
export type Hit = { page: string; section: string; count: number; text: string } & ({ block: string } | { unplaced: string })

/** A search for a piece of text, taken as it is, never as a pattern. */
function patternOf(query: string, { matchCase, wholeWords }: SearchOptions): RegExp {
  const plain = query.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
  const edge = (side: 'start' | 'end') => (wholeWords ? (side === 'start' ? '(?<![\\p{L}\\p{N}])' : '(?![\\p{L}\\p{N}])') : '')
  return new RegExp(`${edge('start')}${plain}${edge('end')}`, matchCase ? 'gu' : 'giu')
}

/** Finds a piece of text in all words of a site in one language. */
export function searchDeck(site: Site, language: string, query: string, options: SearchOptions): Hit[] {
  if (query === '') return []
  const pattern = patternOf(query, options)
  return deckOf(site, language).pages.flatMap((page) =>
    page.sections.flatMap((section) =>
      section.passages.flatMap((one): Hit[] => {
        const text = plainText(one.words)
        const count = [...text.matchAll(pattern)].length
        const place = 'block' in one ? { block: one.block } : { unplaced: one.unplaced }
        return count === 0 ? [] : [{ page: page.name, section: section.name, count, text, ...place }]
      }),
    ),
  )
}

function replaceIn(spans: readonly Span[], pattern: RegExp, by: string): Span[] {
  return spans.map((span): Span => {
    if (typeof span === 'string') return span.replace(pattern, () => by)
    return span.kind === 'break' ? span : { ...span, children: replaceIn(span.children, pattern, by) }
  })
}

/** Edits that replace a piece of text everywhere. What runs over the edge of a mark is left as it is. */
export function replaceInDeck(site: Site, language: string, query: string, by: string, options: SearchOptions): Edit[] {
  if (query === '') return []
  const pattern = patternOf(query, options)
  const edits: Edit[] = []
  for (const page of deckOf(site, language).pages) {
    for (const one of page.sections.flatMap((section) => section.passages)) {
      const words = replaceIn(one.words, pattern, by)
      if (JSON.stringify(words) === JSON.stringify(one.words)) continue
      if ('block' in one) edits.push({ kind: 'words', block: one.block, words: { [language]: words } })
      else {
        const held = site.unplaced.find((other) => other.id === one.unplaced)!
        edits.push(unplacedList([{ ...held, words: { ...held.words, [language]: words } }]))
      }
    }
  }
  return edits
}
