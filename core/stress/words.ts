import { hasWords } from '#core/blocks/tree'
import type { Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import type { Span } from '#core/values/words'
import { mapBlocks } from './stress'

/** Spans with each stretch of text changed. */
export const mapText = (spans: readonly Span[], change: (text: string) => string): Span[] =>
  spans.map((span) =>
    typeof span === 'string' ? change(span) : span.kind === 'break' ? span : { ...span, children: mapText(span.children, change) },
  )

/** A section with the words of all its blocks changed, in the language of the site. */
export const withWords = (
  section: Section,
  { language }: Pick<Site, 'language'>,
  change: (spans: readonly Span[]) => Span[],
): Section =>
  mapBlocks(section, (block) =>
    hasWords(block) && block.words[language]
      ? ({ ...block, words: { ...block.words, [language]: change(block.words[language]) } } as typeof block)
      : block,
  )
