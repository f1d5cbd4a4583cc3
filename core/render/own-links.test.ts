import { describe, expect, test } from 'vitest'
import { newSection } from '#core/blocks/defaults'
import { brokenLinks } from '#core/analysis/links'
import { deckLinks } from '#core/deck/links'
import { makeId } from '#core/deck/deck.fixture'
import { checkSite } from '#core/formats/site-json'
import { newSite } from '#core/site/defaults'
import type { Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { fileAddresses, ownParts, linkOfHref } from './own-links'
import { printSite } from './site'

const start = newSite('Boats', makeId)
const withSections = (...sections: Section[]): Site => ({ ...start, pages: [{ ...start.pages[0]!, sections }] })
const call: Section = {
  ...newSection('opening', makeId),
  children: [
    {
      id: 'call',
      kind: 'button',
      style: {},
      look: 'primary',
      words: { en: ['See the fares'] },
      link: { href: 'index.html#fares' },
    },
  ],
}
const fares: Section = {
  ...newSection('prices', makeId),
  name: 'Fares',
  children: [{ id: 'h', kind: 'heading', level: 2, style: {}, words: { en: ['Fares'] } }],
}
const addresses = {
  picture: () => '',
  page: () => 'here.html',
  form: () => '',
  stylesheet: 'style.css',
  font: () => '',
}

describe('a link into a section', () => {
  test('is kept by the deck before the section stands, and is the section’s own from then on', () => {
    expect(deckLinks(start).read('index.html#fares')).toEqual({ href: 'index.html#fares' })
    const site = withSections(fares)
    expect(deckLinks(site).read('index.html#fares')).toEqual({ page: site.pages[0]!.id, section: fares.id })
    expect(linkOfHref(start, 'index.html#fares')).toBeUndefined()
    expect(linkOfHref(site, '/index.html#fares')).toEqual({ page: site.pages[0]!.id, section: fares.id })
  })

  test('that waits is named by the checks, and leads there in the export once the section stands', () => {
    expect(brokenLinks(withSections(call))[0]!.sentence).toContain('#fares')
    const site = withSections(call, fares)
    expect(brokenLinks(site)).toEqual([])
    const { html } = printSite(site, { addresses, style: 'readable' }).pages[0]!
    // It is on the same page, which may have been opened at another address.
    expect(html).toContain('href="#fares"')
    expect(html).toContain('id="fares"')
  })

  test('finds a section by its job, by its name in other letters, and not while it is hidden', () => {
    const site = withSections(call, fares)
    expect(linkOfHref(site, 'index.html#Fares')).toMatchObject({ section: fares.id })
    expect(linkOfHref(site, 'index.html#prices')).toMatchObject({ section: fares.id })
    expect(linkOfHref(withSections({ ...fares, hidden: true }), 'index.html#fares')).toBeUndefined()
  })

  test('of another site, by mail or by telephone is none of ours', () => {
    for (const href of ['https://a.example/index.html#fares', 'mailto:a@b.example', 'tel:1', '//a.example/x'])
      expect(ownParts(start, href)).toBeUndefined()
    expect(ownParts(start, '#fares')).toMatchObject({ path: '', anchor: 'fares' })
  })
})

describe('a link to a file', () => {
  const file = (id: string, name: string) => ({ id, name, hash: 'a'.repeat(64), bytes: 10 })
  const site: Site = {
    ...withSections({ ...call, children: [{ ...call.children[0]!, link: { file: 'two' } } as Section['children'][number]] }),
    files: [file('one', 'Tide tables.PDF'), file('two', 'tide-tables.pdf'), file('three', 'Week 3.ics')],
  }

  test('leads to the file under its own name, made unique', () => {
    expect([...fileAddresses(site).values()]).toEqual(['files/tide-tables.pdf', 'files/tide-tables-2.pdf', 'files/week-3.ics'])
    expect(fileAddresses(start).size).toBe(0)
    const html = (of: Site) =>
      printSite(of, { style: 'minified', addresses: { ...addresses, file: (one) => fileAddresses(of).get(one.id)! } }).pages[0]!
        .html
    expect(html(site)).toContain('href="files/tide-tables-2.pdf"')
    expect(html({ ...site, files: [] })).toContain('href="#"')
  })

  test('is written in the deck as its address, and read from there', () => {
    const { read, write } = deckLinks(site)
    expect(write({ file: 'two' })).toBe('files/tide-tables-2.pdf')
    expect(read('files/tide-tables-2.pdf')).toEqual({ file: 'two' })
    expect(write({ file: 'gone' })).toBe('')
    expect(deckLinks({ ...site, files: [] }).read('files/tide-tables-2.pdf')).toBeUndefined()
  })

  test('that is gone is named', () => {
    expect(brokenLinks(site)).toEqual([])
    expect(brokenLinks({ ...site, files: [] })[0]!.sentence).toContain('leads to a file that is gone')
  })
})

test('no file is called as Windows calls a device, and each has a name of its own', () => {
  const named = (names: string[]) => [
    ...fileAddresses({ files: names.map((name, n) => ({ id: `f${n}`, name, hash: 'a'.repeat(64), bytes: 9 })) }).values(),
  ]
  expect(named(['con.pdf', 'CON.csv', 'Com1.txt', 'Contents.pdf'])).toEqual([
    'files/con-file.pdf',
    'files/con-file-2.csv',
    'files/com1-file.txt',
    'files/contents.pdf',
  ])
})

test('two files of one id are no site', () => {
  const file = (hash: string) => ({ id: 'f', name: 'map.pdf', hash: hash.repeat(64), bytes: 9 })
  const two = { ...newSite('Two', makeId), files: [file('a'), file('b')] }
  expect(() => checkSite(JSON.parse(JSON.stringify(two)))).toThrow(/files/)
})
