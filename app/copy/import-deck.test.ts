import { expect, test } from 'vitest'
import { allWords, makeId } from '#core/deck/deck.fixture'
import { demoSite } from '#core/edits/edits.fixture'
import { newSite } from '#core/site/defaults'
import { createSessionStore, undo } from '../session/store'
import { deckText, readText } from './deck-sync'
import { importDeck } from './import-deck'

const text = '# Autumn nights\n\n## Opening\n\n### Wrap up\n\n# Winter chart\n\n## Sign-up\n\n### A chart by post\n'

test('a document brings its pages and words in one step, and one undo brings back what was', () => {
  const site = newSite('New', makeId)
  const store = createSessionStore('s', site.pages[0]!.id, site, 0)
  expect(importDeck(store, readText(site, text), 'en', { 'Autumn nights': 'this', 'Winter chart': 'new' }, 'copy.md')).toBe(true)
  const now = store.getState().session.site
  expect(now.pages.map((page) => [page.name, page.address])).toEqual([
    ['Autumn nights', ''],
    ['Winter chart', 'winter-chart'],
  ])
  expect(deckText(now, 'en')).toBe(text)
  undo(store)
  expect(store.getState().session.site).toEqual(site)
})

test('words for pages that are not wanted are kept under their names', () => {
  const site = demoSite()
  const store = createSessionStore('s', site.pages[0]!.id, site, 0)
  importDeck(
    store,
    readText(site, text.replace('Autumn nights', 'Spring')),
    'en',
    { Spring: 'keep', 'Winter chart': 'keep' },
    'copy.md',
  )
  const now = store.getState().session.site
  expect(now.pages).toHaveLength(site.pages.length)
  expect(now.unplaced.map((one) => one.pageName)).toEqual(['Spring', 'Winter chart'])
  for (const words of allWords(site)) expect(allWords(now)).toContain(words)
})
