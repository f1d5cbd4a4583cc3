import type { Site } from '#core/site/schema'
import type { DeckLinks } from '#core/deck/links'
import { plainName, sameName } from '#core/deck/names'
import { type Deck, type DeckPage, type HeldPassage, namelessFirst, type Passage } from '#core/deck/passage'
import { printDeck } from '#core/deck/print'

/**
 * What a deck says, whatever its blank lines: pages of one name as one, without sections and pages that have no words,
 * which a text may name or leave out.
 * @param home name of the page that words above every page heading belong to
 */
export function senseOf(deck: Deck, links: DeckLinks, home: string): string {
  const pages: DeckPage[] = []
  for (const page of deck.pages) {
    const sections = page.sections.filter((one) => one.passages.length > 0)
    const name = page.name === '' ? home : page.name
    const there = pages.find((one) => sameName(one.name, name))
    if (there) there.sections.push(...sections)
    else pages.push({ name, sections })
  }
  const said = pages
    .filter((one) => one.sections.length > 0)
    .map(({ name, sections }) => ({
      name: plainName(name),
      sections: namelessFirst(sections).map((one) => ({ ...one, name: plainName(one.name) })),
    }))
  return printDeck({ pages: said }, links).text
}

/** The sections of a site that a text names. */
export function shownIn(now: Deck<HeldPassage>, deck: Deck): Set<string> {
  const shown = new Set<string>()
  for (const page of now.pages) {
    const said = deck.pages.filter((one) => sameName(one.name, page.name) || one.name === '')
    for (const { name, section } of page.sections)
      if (section !== undefined && said.some((one) => one.sections.some((other) => sameName(other.name, name)))) shown.add(section)
  }
  return shown
}

/** What an editor of the deck remembers: the sections that its text names, and the words of those that were taken out of it. */
export type DeckMemory = { shown: ReadonlySet<string>; gone: ReadonlyMap<string, readonly Passage[]> }

/** The memory after a text was brought to a site: sections that have lost all their words by it had these. */
export function remember(before: Deck<HeldPassage>, after: Deck<HeldPassage>, deck: Deck, { gone }: DeckMemory): DeckMemory {
  const now = new Map(after.pages.flatMap((page) => page.sections.map((one) => [one.section, one.passages.length])))
  const next = new Map(gone)
  for (const { section, passages } of before.pages.flatMap((page) => page.sections)) {
    if (section === undefined || passages.length === 0) continue
    if (now.get(section) === 0) next.set(section, passages)
    else next.delete(section)
  }
  return { shown: shownIn(after, deck), gone: next }
}

/** The memory of an editor that shows a site's own deck, in which every section stands. */
export const freshMemory = (site: Site): DeckMemory => ({
  shown: new Set(site.pages.flatMap((page) => page.sections.map((one) => one.id))),
  gone: new Map(),
})
