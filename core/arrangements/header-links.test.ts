import { describe, expect, test } from 'vitest'
import { newSection } from '#core/blocks/defaults'
import { makeId } from '#core/deck/deck.fixture'
import { slotsOf } from '#core/deck/slots'
import { applyEdit, type Edit } from '#core/edits/index'
import { newSite } from '#core/site/defaults'
import type { Unplaced } from '#core/site/passage'
import type { BlockOf } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { walk } from '#core/blocks/tree'
import { plainText } from '#core/values/words'

const start = newSite('Ferry Lane Boatyard', makeId)
const page = start.pages[0]!
const header = newSection('header', makeId)
const waiting = (role: Unplaced['role'], text: string, link?: Unplaced['link']): Unplaced => ({
  id: makeId(),
  page: page.id,
  pageName: page.name,
  section: header.id,
  sectionName: 'Header',
  role,
  entry: 0,
  words: { en: [text] },
  ...(link ? { link } : {}),
})
const made = (words: Unplaced[], arrangement = 'header-bar'): Site => {
  const edits: Edit[] = [
    { kind: 'insert', parent: page.id, index: 0, blocks: [header] },
    { kind: 'list', list: 'unplaced', drop: [], put: words.map((item) => ({ item })) },
    { kind: 're-set', section: header.id, arrangement, ids: 'abcdef' },
  ]
  return edits.reduce((site: Site, edit) => applyEdit(site, edit).site, start)
}
const sectionOf = (site: Site) => findBlock(site, header.id)!.block as BlockOf<'section'>
const navOf = (site: Site) => [...walk(sectionOf(site))].find((block) => block.kind === 'nav')!
const texts = (blocks: readonly BlockOf<'link'>[]) => blocks.map((one) => plainText(one.words.en ?? []))
const three = ['Boats', 'Fares', 'Find us'].map((name) =>
  waiting('link', name, { href: `index.html#${name.toLowerCase().replace(' ', '-')}` }),
)

describe('a header with links of its own', () => {
  test('has all of them in its nav, the site’s name as its name, and no button without words', () => {
    const site = made(three)
    expect(texts(navOf(site).children as BlockOf<'link'>[])).toEqual(['Boats', 'Fares', 'Find us'])
    expect(navOf(site).follows).toBeUndefined()
    const [name, ...others] = slotsOf(sectionOf(site)).map((one) => one.block)
    expect(plainText(name!.words.en!)).toBe('Ferry Lane Boatyard')
    expect(name).toMatchObject({ link: { page: page.id } })
    expect(others).toHaveLength(3)
    expect(site.unplaced).toEqual([])
  })

  test('takes a line of words as its name, and a call as its button', () => {
    const site = made([waiting('text', 'The boatyard'), ...three, waiting('call', 'Book a boat')])
    const slots = slotsOf(sectionOf(site))
    expect(plainText(slots[0]!.block.words.en!)).toBe('The boatyard')
    expect(slots.at(-1)).toMatchObject({ role: 'call', block: { words: { en: ['Book a boat'] } } })
  })

  test('keeps name and nav apart when it is re-set, and they come back as they were', () => {
    const before = made(three)
    const after = applyEdit(before, { kind: 're-set', section: header.id, arrangement: 'header-split', ids: 'ghijkl' }).site
    expect(texts(navOf(after).children as BlockOf<'link'>[])).toEqual(['Boats', 'Fares', 'Find us'])
    expect(plainText(slotsOf(sectionOf(after))[0]!.block.words.en!)).toBe('Ferry Lane Boatyard')
    const minimal = applyEdit(after, { kind: 're-set', section: header.id, arrangement: 'header-minimal', ids: 'mnopqr' }).site
    expect(minimal.unplaced.map((one) => plainText(one.words.en!))).toEqual(['Boats', 'Fares', 'Find us'])
  })

  test('without links follows the pages as before', () => {
    expect(navOf(made([])).follows).toBe(true)
  })
})
