import { idMaker } from '#core/values/ids'
import type { Site } from '#core/site/schema'
import { applyEdit, type Edit } from '#core/edits/index'
import { hasWords } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { deckOf } from './deck'
import { deckLinks } from './links'
import { parseDeck } from './parse'
import { printDeck } from './print'
import { reconcile, type ReconcileOptions } from '#core/reconcile/reconcile'

let state = 7
export const makeId = idMaker(() => ((state = (state * 16807) % 2147483647), state / 2147483647))

/** The deck of a site as text. */
export const textOf = (site: Site): string => printDeck(deckOf(site, 'en'), deckLinks(site)).text

/** A site after its deck has become a text. */
export function withDeck(site: Site, text: string, missing: ReconcileOptions['missing'] = 'go'): Site {
  const links = deckLinks(site)
  const edits = reconcile(site, parseDeck(text, links), { language: 'en', links, makeId, missing, home: site.pages[0]!.id })
  return edits.reduce((now: Site, edit: Edit) => applyEdit(now, edit).site, site)
}

/** Every stretch of words that a site has, on its pages and unplaced. */
export function allWords(site: Site): Set<string> {
  const placed = site.pages.flatMap((page) => [...walkPage(page)].filter(hasWords).map((block) => block.words.en ?? []))
  const unplaced = site.unplaced.map((one) => one.words.en ?? [])
  return new Set([...placed, ...unplaced].map((words) => plainText(words).trim()).filter((text) => text !== ''))
}
