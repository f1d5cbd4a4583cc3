import { deckLinks } from '#core/deck/links'
import type { Deck } from '#core/deck/passage'
import { reconcile } from '#core/reconcile/reconcile'
import { applyEdit, type Edit } from '#core/edits/index'
import { slug } from '#core/render/names'
import { freeAddress } from '#core/site/address'
import { newPage } from '#core/site/defaults'
import { type SessionStore, editAll, makeId } from '../session/store'

/** What becomes of a page of a document that the site does not have: the page at hand, a new page, or words without a page. */
export type Destination = 'this' | 'new' | 'keep'

/**
 * Brings a document into the deck as one step: pages that it needs, and its words. No word of the site is deleted;
 * what the document does not have is kept unplaced.
 * @returns true if it was made
 */
export function importDeck(
  store: SessionStore,
  deck: Deck,
  language: string,
  destinations: Record<string, Destination>,
  label: string,
): boolean {
  const { session, pageId } = store.getState()
  const edits: Edit[] = []
  let site = session.site
  const make = (edit: Edit) => {
    site = applyEdit(site, edit).site
    edits.push(edit)
  }
  for (const [name, destination] of Object.entries(destinations)) {
    if (destination === 'this') make({ kind: 'page-field', page: pageId, values: { name } })
    else if (destination === 'new')
      make({ kind: 'page-add', index: site.pages.length, page: newPage(makeId, name, freeAddress(site.pages, slug(name))) })
  }
  const words = reconcile(site, deck, { language, links: deckLinks(site), makeId, missing: 'keep', home: pageId })
  return editAll(store, `import of ${label}`.slice(0, 120), [...edits, ...words])
}
