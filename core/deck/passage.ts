import type { Link } from '#core/values/link'
import type { Role } from '#core/values/passage-role'
import type { Span } from '#core/values/words'

/** A stretch of words in the copy deck, in one language. */
export type Passage = {
  role: Role
  /** Which of the section's entries it belongs to, from 1; 0 for the section's own words. */
  entry: number
  words: readonly Span[]
  link?: Link
  /** For an item: true in a list with numbers. */
  ordered?: true
  /** For a call: true where it stands on the line of the call before it. */
  beside?: true
}

/** A passage of the site: where it stands, in a slot (`block`) or among the unplaced words (`unplaced`). */
export type HeldPassage = Passage & ({ block: string } | { unplaced: string })

export type DeckSection<P extends Passage = Passage> = { name: string; section?: string; passages: P[] }
export type DeckPage<P extends Passage = Passage> = { name: string; page?: string; sections: DeckSection<P>[] }
/** The sections of a page: words above every section heading are one section, which is read first. */
export function namelessFirst(sections: readonly DeckSection[]): DeckSection[] {
  const nameless = sections.filter((one) => one.name === '')
  if (nameless.length === 0 || (nameless.length === 1 && sections[0] === nameless[0])) return [...sections]
  const passages: Passage[] = []
  for (const one of nameless) {
    const last = Math.max(0, ...passages.map(({ entry }) => entry))
    passages.push(...one.passages.map((each) => (each.entry === 0 ? each : { ...each, entry: each.entry + last })))
  }
  return [{ name: '', passages }, ...sections.filter((one) => one.name !== '')]
}

/** The copy deck: words by page and section, in the order in which they are read. */
export type Deck<P extends Passage = Passage> = { pages: DeckPage<P>[] }
