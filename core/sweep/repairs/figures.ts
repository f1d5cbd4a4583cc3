import type { Repair } from '#core/analysis/finding'
import type { Block } from '#core/blocks/index'
import { hasWords } from '#core/blocks/tree'
import type { Span } from '#core/values/words'
import { held } from '../figure'

const heldIn = (spans: readonly Span[]): Span[] =>
  spans.map((span) => {
    if (typeof span === 'string') return held(span)
    return span.kind === 'break' ? span : { ...span, children: heldIn(span.children) }
  })

/** The figures of a block with spaces and hyphens that do not break: a line ends before them instead. */
export function heldFigures(block: Block, language: string): Repair[] {
  if (!hasWords(block)) return []
  const words = heldIn(block.words[language] ?? [])
  return [{ label: 'Break the line before the figure', edit: { kind: 'words', block: block.id, words: { [language]: words } } }]
}
