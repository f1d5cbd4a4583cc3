import { expect, test } from 'vitest'
import type { BlockOf } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { makeId, textOf, withDeck } from '#core/deck/deck.fixture'
import { deckLinks } from '#core/deck/links'
import { parseDeck } from '#core/deck/parse'
import { applyEdit } from '#core/edits/index'
import { batchOf } from '#core/edits/batch'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { plainText } from '#core/values/words'
import { deckRows, layOutDeck } from './as-deck'
import { ORCHARD } from './orchard.fixture'

const empty = newSite('Medlar Hill Orchard', makeId)
const named: Site = { ...empty, pages: [{ ...empty.pages[0]!, name: 'Medlar Hill Orchard' }] }
const waiting = withDeck(named, ORCHARD)
const site = applyEdit(
  waiting,
  batchOf('lay out', layOutDeck(waiting, waiting.pages[0]!.id, deckRows(waiting, waiting.pages[0]!), makeId)),
).site
const section = (name: string) => site.pages[0]!.sections.find((one) => (one.name ?? one.job).toLowerCase() === name)!
const blocks = (name: string) => [...walk(section(name))]
const said = (words: Record<string, readonly unknown[]>) => plainText((words.en ?? []) as never)

test('a heading of the first level inside a section is that section’s own, not a page', () => {
  expect(deckRows(waiting, waiting.pages[0]!).map((one) => one.name)).toEqual([
    'Header',
    'Opening',
    'How it works',
    'Trees',
    'Questions',
  ])
  const headings = blocks('opening').filter((block) => block.kind === 'heading')
  expect(headings.map((block) => [block.level, said(block.words)])).toEqual([[1, 'An apple tree of your own, without a garden']])
  // With sections under it, or by the name of a page, it is a page.
  const pages = (text: string) => parseDeck(text, deckLinks(named)).pages.map((one) => one.name)
  expect(pages('# A\n\n## Opening\n\n# B\n\n## Opening\n\nWords.')).toEqual(['A', 'B'])
  expect(pages('# A\n\n## Opening\n\n# Medlar Hill Orchard\n\nWords.')).toEqual(['A', 'Medlar Hill Orchard'])
  expect(pages('# A\n\n## Opening\n\n*New*\n\n# Title\n\nWords.')).toEqual(['A'])
  expect(pages('# A\n\n## Opening\n\nWords.\n\n# B\n\nWords.')).toEqual(['A', 'B'])
})

test('two calls on one line are two buttons beside each other, the second the quieter', () => {
  const row = blocks('opening').find((block) => block.kind === 'group' && block.style.base?.layout === 'row')
  expect(row).toMatchObject({
    children: [
      { kind: 'button', look: 'primary' },
      { kind: 'button', look: 'secondary' },
    ],
  })
  expect(textOf(site)).toContain('[Choose a tree](thank-you.html) [Walk the orchard](#how-it-works)')
})

test('a numbered list keeps its numbers, on the page and in the deck; so it does in another arrangement', () => {
  const list = blocks('how it works').find((block) => block.kind === 'list')
  expect(list).toMatchObject({ ordered: true })
  const numbered = '1. Choose a tree from the list, or let us choose one.\n2. Come to the blossom walk in May.\n3. Pick'
  expect(textOf(site)).toContain(numbered)
  const other = applyEdit(site, { kind: 're-set', section: section('trees').id, arrangement: 'prices-rows', ids: 'trial00' }).site
  expect(textOf(other)).toContain(numbered)
  // The first item says what the list is.
  const bullets = withDeck(site, textOf(site).replace(/^\d\. /gm, '- '))
  expect(textOf(bullets)).toContain('- Choose a tree')
  expect(textOf(withDeck(bullets, textOf(bullets).replace(/^- (?=Choose|Come|Pick)/gm, '1. ')))).toContain(numbered)
})

test('a line of an entry that is a price fills its price', () => {
  const prices = blocks('trees').filter((block): block is BlockOf<'text'> => block.kind === 'text' && block.part === 'price')
  expect(prices.map((block) => said(block.words))).toEqual(['£38', '£64 a year', '£35'])
})

test('a page that links lead to by its file is made, once, and they lead to it', () => {
  const [, made] = site.pages
  expect(site.pages).toHaveLength(2)
  expect(made).toMatchObject({ name: 'Thank you', address: 'thank-you', unlisted: true })
  const calls = blocks('trees').filter((block) => block.kind === 'button')
  expect(calls.map((block) => block.link)).toEqual([{ page: made!.id }, { page: made!.id }, { page: made!.id }])
})

test('a header without a button has its links at the end of its row; three questions are not two and one', () => {
  const row = blocks('header').find((block) => block.kind === 'group')
  expect(row).toMatchObject({ children: [{ kind: 'link' }, { kind: 'nav', style: { base: { justify: 'end' } } }] })
  const entries = blocks('questions').filter((block) => block.kind === 'group' && block.entry)
  expect(new Set(entries.map((block) => block.style.base?.span)).size).toBe(1)
  expect([undefined, 4, 12]).toContain(entries[0]!.style.base?.span)
})
