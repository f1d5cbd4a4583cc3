import type { Edit } from '#core/edits/index'
import { linksAfterRename } from '#core/analysis/links'
import { freeAddress } from '#core/site/address'
import { newPage } from '#core/site/defaults'
import type { Page } from '#core/site/schema'
import { type SessionStore, edit, editAll, makeId } from '../session/store'

/** Adds an empty page at the end of the site and opens it. */
export function addPage(store: SessionStore, open: (id: string) => void): void {
  const { site } = store.getState().session
  const n = site.pages.length + 1
  const page = newPage(makeId, `Page ${n}`, freeAddress(site.pages, `page-${n}`))
  if (edit(store, { kind: 'page-add', index: site.pages.length, page })) open(page.id)
}

/** Deletes a page and opens another, if it was open. Its words are kept unplaced. */
export function removePage(store: SessionStore, page: Page, open: (id: string) => void): void {
  const { session, pageId } = store.getState()
  const next = session.site.pages.find((one) => one.id !== page.id)
  if (next && edit(store, { kind: 'page-remove', page: page.id }) && pageId === page.id) open(next.id)
}

/** Gives a page another address; links in words that name the old one follow it. */
export function setAddress(store: SessionStore, page: Page, address: string): void {
  const { site } = store.getState().session
  const edits: Edit[] = [{ kind: 'page-field', page: page.id, values: { address } }, ...linksAfterRename(site, page, address)]
  editAll(store, `address of ${page.name}`, edits)
}
