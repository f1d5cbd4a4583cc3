import { deckOf } from '#core/deck/deck'
import { deckLinks } from '#core/deck/links'
import { parseDeck } from '#core/deck/parse'
import type { Deck } from '#core/deck/passage'
import { printDeck } from '#core/deck/print'
import { reconcile } from '#core/deck/reconcile'
import type { Site } from '#core/site/schema'
import { type ComposeStore, editAll, makeId } from '../compose/store'

/** The deck of a site as the text of the editor. */
export const deckText = (site: Site, language: string): string => printDeck(deckOf(site, language), deckLinks(site)).text

/** What a text says, whatever its blank lines: two texts with the same sense need no change. */
export const sameDeck = (a: string, b: string, site: Site): boolean => {
  const links = deckLinks(site)
  return a === b || printDeck(parseDeck(a, links), links).text === printDeck(parseDeck(b, links), links).text
}

/** Names of pages and sections of a deck; a change of these waits until typing rests, since a heading is typed sign by sign. */
export const outlineOf = (deck: Deck): string =>
  JSON.stringify(deck.pages.map((page) => [page.name, page.sections.map((one) => one.name)]))

export const readText = (site: Site, text: string): Deck => parseDeck(text, deckLinks(site))

/** Brings the site to what the deck says. @returns true if it changed or had nothing to change */
export function applyDeck(
  store: ComposeStore,
  deck: Deck,
  language: string,
  missing: 'go' | 'keep',
  label: string,
  gesture?: string,
): boolean {
  const { session, pageId } = store.getState()
  const edits = reconcile(session.site, deck, { language, links: deckLinks(session.site), makeId, missing, home: pageId })
  return edits.length === 0 || editAll(store, label, edits, gesture)
}

/** The smallest change from one text to another: what stands between their common beginning and end. */
export function changeBetween(from: string, to: string): { from: number; to: number; insert: string } {
  let start = 0
  while (start < from.length && start < to.length && from[start] === to[start]) start++
  let end = 0
  while (end < from.length - start && end < to.length - start && from[from.length - 1 - end] === to[to.length - 1 - end]) end++
  return { from: start, to: from.length - end, insert: to.slice(start, to.length - end) }
}
