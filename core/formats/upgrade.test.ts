import { expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { EMPTY_PAGE_BRIEF, EMPTY_SITE_BRIEF } from '#core/site/brief'
import { checkSite } from './site-json'

/** The demo as a file of version 1 had it. */
function first() {
  const { brief: _, unplaced: _u, board: _b, ...site } = structuredClone(demoSite()) as unknown as Record<string, unknown>
  const pages = (site.pages as Record<string, unknown>[]).map(({ brief: _p, unlisted: _l, ...page }) => page)
  return { ...site, version: 1, pages }
}

test('a file of version 1 opens, with an empty brief and no words left over', () => {
  const site = checkSite(first())
  expect(site.version).toBe(2)
  expect(site.brief).toEqual(EMPTY_SITE_BRIEF)
  expect(site.pages.map((page) => page.brief)).toEqual(site.pages.map(() => EMPTY_PAGE_BRIEF))
  expect([site.unplaced, site.board]).toEqual([[], []])
  expect(site.pages[0]!.sections).toEqual(demoSite().pages[0]!.sections)
})

test('a broken file of version 1 is refused as any other, with what is wrong and where', () => {
  expect(() => checkSite({ ...first(), pages: 'none' })).toThrow(/broken at "pages"/)
  expect(() => checkSite({ ...first(), version: 3 })).toThrow(/version 3, from a newer Yarrowfinch/)
})
