import type { Site } from '#core/site/schema'
import { plainText } from '#core/values/words'
import { align } from './align'
import { sameName } from '#core/deck/names'
import { type Deck, type DeckPage, type DeckSection, type HeldPassage, namelessFirst, type Passage } from '#core/deck/passage'

/** A section of the new text and the one that it was before; none for one that is new. */
export type MatchedSection = { next: DeckSection; before?: DeckSection<HeldPassage> }
/** A page of the new text and the one that it was before. Two of one name are one. */
export type MatchedPage = { name: string; before?: DeckPage<HeldPassage>; sections: MatchedSection[] }

/** What is known of how a deck became another, besides the two. */
export type MatchOptions = {
  /** The page that words above every page heading belong to. */
  home: string
  /** Sections that the text named last; only these can be renamed. All, if it is not said. */
  shown?: ReadonlySet<string> | undefined
  /** Words that sections had when they were taken out of the text, by section, to know a section that is pasted again. */
  gone?: ReadonlyMap<string, readonly Passage[]> | undefined
}

/** The page of the site that a page of the deck is: by its name, or by its address. */
export function pageFor(site: Site, name: string, home: string): Site['pages'][number] | undefined {
  if (name === '') return site.pages.find((one) => one.id === home)
  return site.pages.find((one) => sameName(one.name, name)) ?? site.pages.find((one) => sameName(one.address, name))
}

const tokens = (list: readonly Passage[]): string[] =>
  list.flatMap((one) => plainText(one.words).toLowerCase().split(/\s+/)).filter((one) => one !== '')

/** The share of words that two lists of passages have in common, 0 to 1. */
export function likeness(a: readonly Passage[], b: readonly Passage[]): number {
  const [one, other] = [tokens(a), tokens(b)]
  if (one.length === 0 || other.length === 0) return 0
  const left = new Map<string, number>()
  for (const word of one) left.set(word, (left.get(word) ?? 0) + 1)
  let common = 0
  for (const word of other) {
    const count = left.get(word) ?? 0
    if (count === 0) continue
    common++
    left.set(word, count - 1)
  }
  return common / Math.max(one.length, other.length)
}

/** True if two lists have a passage in common; of sections that stayed it is the first that is looked at. */
const sharesPassage = (a: readonly Passage[], b: readonly Passage[]): boolean =>
  b.some((one) => a.some((other) => plainText(other.words) === plainText(one.words)))

/** Sections whose words are this much alike are the same one, whatever they are called. */
const ALIKE = 0.3

type Old = DeckSection<HeldPassage>
type Loose = { olds: { old: Old; gap: number }[]; nexts: { match: MatchedSection; gap: number }[] }

/** Sections that stand under the same name in the same order; what is left over, by the gap that it stands in. */
function inOrder(olds: readonly Old[], matches: readonly MatchedSection[]): Loose {
  const cost = (a: Old, b: MatchedSection) =>
    !sameName(a.name, b.next.name) ? 3 : sharesPassage(a.passages, b.next.passages) || a.passages.length === 0 ? 0 : 0.2
  const loose: Loose = { olds: [], nexts: [] }
  let gap = 0
  for (const { from, to } of align(olds, matches, cost, 1)) {
    if (from !== undefined && to !== undefined && sameName(olds[from]!.name, matches[to]!.next.name)) {
      matches[to]!.before = olds[from]!
      gap++
      continue
    }
    if (from !== undefined) loose.olds.push({ old: olds[from]!, gap })
    if (to !== undefined) loose.nexts.push({ match: matches[to]!, gap })
  }
  return loose
}

/** Gives new sections the old ones that suit them, the likest first, each once. */
function pair(
  olds: Loose['olds'],
  nexts: Loose['nexts'],
  score: (old: Loose['olds'][number], next: Loose['nexts'][number]) => number,
): void {
  const pairs = olds.flatMap((old) => nexts.map((next) => ({ old, next, score: score(old, next) })))
  pairs.sort((a, b) => b.score - a.score)
  for (const one of pairs) {
    if (one.score <= 0 || one.next.match.before || !olds.includes(one.old)) continue
    one.next.match.before = one.old.old
    olds.splice(olds.indexOf(one.old), 1)
  }
  nexts.splice(0, nexts.length, ...nexts.filter((one) => !one.match.before))
}

const hasPlaced = (page: DeckPage<HeldPassage>) => page.sections.some((one) => one.passages.length > 0)
const isSimilar = (page: DeckPage, old: DeckPage<HeldPassage>) =>
  !hasPlaced(old) || page.sections.some((one) => old.sections.some((other) => likeness(one.passages, other.passages) >= ALIKE))

/** Finds for each page of the text the one that it was: by its name or address, or, renamed, by its place and words. */
function matchPages(site: Site, now: Deck<HeldPassage>, deck: Deck, home: string): MatchedPage[] {
  const pages: MatchedPage[] = []
  const merged: { page: DeckPage; match: MatchedPage }[] = []
  for (const page of deck.pages) {
    const known = pageFor(site, page.name, home)
    const before = now.pages.find((one) =>
      known ? one.page === known.id : one.page === undefined && sameName(one.name, page.name),
    )
    const there = pages.find((one) => (before ? one.before === before : one.before === undefined && sameName(one.name, page.name)))
    const match = there ?? { name: page.name, ...(before ? { before } : {}), sections: [] }
    if (!there) pages.push(match)
    match.sections = namelessFirst([...match.sections.map((one) => one.next), ...page.sections]).map((next) => ({ next }))
    merged.push({ page, match })
  }
  for (const { page, match } of merged) {
    if (match.before || page.name === '') continue
    const at = pages.indexOf(match)
    const low = now.pages.indexOf(pages.slice(0, at).findLast((one) => one.before)?.before as never)
    const next = pages.slice(at + 1).find((one) => one.before)?.before
    const high = next ? now.pages.indexOf(next) : now.pages.length
    const free = now.pages.slice(low + 1, high).find((one) => !pages.some((other) => other.before === one) && isSimilar(page, one))
    if (free) match.before = free
  }
  return pages
}

/**
 * Tells what has become of the pages and sections of a deck: which stayed, moved, were renamed, and which are new. An
 * old section that stands nowhere in the result was taken out.
 */
export function matchDeck(site: Site, now: Deck<HeldPassage>, deck: Deck, { home, shown, gone }: MatchOptions): MatchedPage[] {
  const pages = matchPages(site, now, deck, home)
  const loose = pages.map((page) => inOrder(page.before?.sections ?? [], page.sections))
  // Pages that the text names no more: their sections may stand elsewhere by now.
  const orphans = now.pages.filter((one) => !pages.some((page) => page.before === one))
  const wordsOf = (old: Old) => [...old.passages, ...((old.section !== undefined && gone?.get(old.section)) || [])]
  const isShown = ({ section }: Old) => section === undefined || !shown || shown.has(section)

  // Under its own name elsewhere on the page.
  for (const { olds, nexts } of loose)
    pair(olds, nexts, ({ old }, { match: { next } }) =>
      sameName(old.name, next.name) ? 1 + likeness(wordsOf(old), next.passages) : 0,
    )
  // With its own words on another page.
  const everywhere: Loose['olds'] = [
    ...loose.flatMap(({ olds }) => olds),
    ...orphans.flatMap((page) => page.sections.map((old) => ({ old, gap: -1 }))),
  ]
  for (const [i, { nexts }] of loose.entries())
    pair(everywhere, nexts, ({ old }, { match: { next } }) => {
      // A page that the site has not got can hold no section.
      if (old.section !== undefined && pages[i]!.before?.page === undefined) return 0
      const alike = likeness(wordsOf(old), next.passages)
      return sameName(old.name, next.name) && alike >= ALIKE ? alike : 0
    })
  // In its own place under another name.
  for (const { olds, nexts } of loose)
    pair(
      olds.filter((one) => everywhere.includes(one)),
      nexts,
      (old, next) => {
        // Words without a heading above them are no section's.
        if (old.gap !== next.gap || (next.match.next.name === '') !== (old.old.name === '')) return 0
        const alike = likeness(old.old.passages, next.match.next.passages)
        return alike >= ALIKE ? alike : old.old.passages.length === 0 && isShown(old.old) ? 0.1 : 0
      },
    )
  return pages
}
