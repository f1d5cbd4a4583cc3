import { deckOf } from '#core/deck/deck'
import { deckLinks } from '#core/deck/links'
import { parseDeck } from '#core/deck/parse'
import type { Deck } from '#core/deck/passage'
import { printDeck } from '#core/deck/print'
import { reconcile } from '#core/reconcile/reconcile'
import { type DeckMemory, remember, senseOf } from '#core/reconcile/sense'
import type { Site } from '#core/site/schema'
import { type SessionStore, editAll, makeId } from '../session/store'

/** The deck of a site as the text of the editor. */
export const deckText = (site: Site, language: string): string => printDeck(deckOf(site, language), deckLinks(site)).text

/** True if two texts say the same, so that neither needs a change. */
export const sameDeck = (a: string, b: string, site: Site, home = site.pages[0]!.name): boolean => {
  const links = deckLinks(site)
  return a === b || senseOf(parseDeck(a, links), links, home) === senseOf(parseDeck(b, links), links, home)
}

/** Names of pages and sections of a deck; a change of these waits until typing rests, since a heading is typed sign by sign. */
export const outlineOf = (deck: Deck): string =>
  JSON.stringify(deck.pages.map((page) => [page.name, page.sections.map((one) => one.name)]))

export const readText = (site: Site, text: string): Deck => parseDeck(text, deckLinks(site))

/**
 * Brings the site to what the text of its deck says.
 * @param outlined true where pages or sections have come, gone, moved or changed their names
 * @returns what the editor remembers from then on
 */
export function applyDeck(
  store: SessionStore,
  deck: Deck,
  language: string,
  memory: DeckMemory,
  label: string,
  { gesture, outlined = true }: { gesture?: string; outlined?: boolean } = {},
): DeckMemory {
  const { session, pageId } = store.getState()
  const { site } = session
  const edits = reconcile(site, deck, { language, links: deckLinks(site), makeId, missing: 'go', home: pageId, ...memory })
  if (edits.length > 0) editAll(store, label, edits, gesture)
  return outlined ? remember(deckOf(site, language), deckOf(store.getState().session.site, language), deck, memory) : memory
}

type Change = { from: number; to: number; insert: string }

/** The smallest change from one text to another: what stands between their common beginning and end. */
export function changeBetween(from: string, to: string): Change {
  let start = 0
  while (start < from.length && start < to.length && from[start] === to[start]) start++
  let end = 0
  while (end < from.length - start && end < to.length - start && from[from.length - 1 - end] === to[to.length - 1 - end]) end++
  return { from: start, to: from.length - end, insert: to.slice(start, to.length - end) }
}

/** The changes from one text to another, line by line where they have the same number of lines, so that a caret stays. */
export function changesBetween(from: string, to: string): Change[] {
  const [before, after] = [from.split('\n'), to.split('\n')]
  if (before.length !== after.length) return [changeBetween(from, to)]
  let at = 0
  return before.flatMap((line, i) => {
    const start = at
    at += line.length + 1
    if (line === after[i]) return []
    const change = changeBetween(line, after[i]!)
    return [{ from: start + change.from, to: start + change.to, insert: change.insert }]
  })
}
