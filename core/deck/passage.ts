import type { Link } from '#core/site/link'
import type { Role } from '#core/site/passage'
import type { Span } from '#core/site/words'

/** A stretch of words in the copy deck, in one language. */
export type Passage = {
  role: Role
  /** Which of the section's entries it belongs to, from 1; 0 for the section's own words. */
  entry: number
  words: readonly Span[]
  link?: Link
}

/** A passage of the site: where it stands, in a slot (`block`) or among the unplaced words (`unplaced`). */
export type HeldPassage = Passage & ({ block: string } | { unplaced: string })

export type DeckSection<P extends Passage = Passage> = { name: string; section?: string; passages: P[] }
export type DeckPage<P extends Passage = Passage> = { name: string; page?: string; sections: DeckSection<P>[] }
/** The copy deck: words by page and section, in the order in which they are read. */
export type Deck<P extends Passage = Passage> = { pages: DeckPage<P>[] }
