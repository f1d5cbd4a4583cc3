import type { Repair } from '#core/analysis/finding'
import { LONGEST_WORD } from '#core/analysis/spelling'
import type { Block } from '#core/blocks/index'
import { hasWords } from '#core/blocks/tree'
import { plainText, type Span } from '#core/values/words'
import type { WidthFinding } from '../find'

/** Letters from which a word is long enough to be parted, and most words of a block that are. */
const LONG = 8
export const MOST_PARTED = 40

/** Where a word may be parted; it is seen only where it is. */
const SOFT = '\u00ad'
const WORD = new RegExp(`(?<![\\p{L}\\p{M}${SOFT}])[\\p{L}\\p{M}]{${LONG},${LONGEST_WORD}}(?![\\p{L}\\p{M}${SOFT}])`, 'gu')

/** Kinds that a word may cause which is too long for its place. */
const CAUSED: ReadonlySet<WidthFinding['kind']> = new Set(['brokenWord', 'cutWords', 'pastWindow', 'pastHolder'])

/** Words of a block that could be parted where a finding is about it, the longest first. */
export function wordsToPart({ kind }: Pick<WidthFinding, 'kind'>, block: Block | undefined, language: string): string[] {
  if (!CAUSED.has(kind) || !block || !hasWords(block)) return []
  const words = new Set([...plainText(block.words[language] ?? []).matchAll(WORD)].map(([word]) => word))
  return [...words].sort((a, b) => b.length - a.length).slice(0, MOST_PARTED)
}

const parted = (spans: readonly Span[], parts: ReadonlyMap<string, string>): Span[] =>
  spans.map((span) => {
    if (typeof span === 'string') return span.replace(WORD, (word) => parts.get(word) ?? word)
    return span.kind === 'break' ? span : { ...span, children: parted(span.children, parts) }
  })

/**
 * Soft hyphens in the words of a block: in the longest alone, and in all long ones. The words stay as they are, and are
 * parted only where there is no room for them.
 * @param parts long words of the block, each with its soft hyphens
 */
export function withSoftHyphens(block: Block, language: string, parts: ReadonlyMap<string, string>): Repair[] {
  if (!hasWords(block)) return []
  const able = [...parts].filter(([word, made]) => made !== word && made.replaceAll(SOFT, '') === word)
  const repair = (label: string, some: typeof able): Repair => ({
    label,
    edit: { kind: 'words', block: block.id, words: { [language]: parted(block.words[language] ?? [], new Map(some)) } },
  })
  const [longest] = able
  if (!longest) return []
  const first = repair(`Soft hyphens in “${longest[0]}”`, [longest])
  return able.length === 1 ? [first] : [first, repair(`Soft hyphens in ${able.length} long words`, able)]
}
