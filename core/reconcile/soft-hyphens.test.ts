import { expect, test } from 'vitest'
import { makeId, textOf } from '#core/deck/deck.fixture'
import { deckLinks } from '#core/deck/links'
import { parseDeck } from '#core/deck/parse'
import { applyEdit, type Edit } from '#core/edits/index'
import { demoSite } from '#core/edits/edits.fixture'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { reconcile } from './reconcile'

const site = demoSite()
const heading = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'heading')!
const soft = applyEdit(site, { kind: 'words', block: heading.id, words: { en: ['The obser\u00advatory at dusk'] } }).site

const edits = (text: string, missing: 'keep' | 'go'): Edit[] => {
  const links = deckLinks(soft)
  return reconcile(soft, parseDeck(text, links), { language: 'en', links, makeId, missing, home: soft.pages[0]!.id })
}
const headingIn = (one: Site) => [...walkPage(one.pages[0]!)].find(({ id }) => id === heading.id)
const without = textOf(soft).replaceAll('\u00ad', '')

test('copy that comes without soft hyphens leaves them where they are', () => {
  expect(edits(without, 'keep')).toEqual([])
})

test('other words come without them; who takes them out of the deck itself takes them out', () => {
  const changed = without.replace('The observatory at dusk', 'The observatory at dawn')
  expect(edits(changed, 'keep')).toEqual([{ kind: 'words', block: heading.id, words: { en: ['The observatory at dawn'] } }])
  const [taken] = edits(without, 'go')
  expect(headingIn(applyEdit(soft, taken!).site)).toMatchObject({ words: { en: ['The observatory at dusk'] } })
})
