import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { makeId } from '#core/deck/deck.fixture'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Link } from '#core/values/link'
import type { Block } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import { placeOfLink, targetsOf } from './link-targets'
import { visibleBlocks } from '#core/site/visible'

const site = demoSite()
const [landing, chart] = site.pages
const after = (...edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, site)
const words = (text: string) => ({ words: { en: [text] } })
const button = (text: string, link?: Link): Block => ({ ...newBlock('button', makeId), ...words(text), ...(link ? { link } : {}) })
const link = (text: string, to?: Link): Block => ({ ...newBlock('link', makeId), ...words(text), ...(to ? { link: to } : {}) })
const page = (...children: Block[]) => ({ ...landing!, sections: [{ ...newSection('closing', makeId), children }] })

describe('the place that a link leads to', () => {
  const section = landing!.sections[2]!
  test.each<[string, Link | undefined, string | RegExp]>([
    ['nothing', undefined, 'nowhere'],
    ['an address', { href: 'mailto:a@b.example' }, 'mailto:a@b.example'],
    ['a page', { page: chart!.id }, 'winter-sky-chart.html'],
    ['a section', { page: landing!.id, section: section.id }, /^index\.html, /],
    ['a file that is gone', { file: 'gone' }, 'a file that is gone'],
    ['a page that is gone', { page: 'gone' }, 'a page that is gone'],
    ['a section that is gone', { page: landing!.id, section: 'gone' }, 'index.html'],
  ])('of %s is said in words', (_, to, place) => {
    if (typeof place === 'string') expect(placeOfLink(site, to)).toBe(place)
    else expect(placeOfLink(site, to)).toMatch(place)
  })
})

describe('what leads on from a page', () => {
  const leads = (...children: Block[]) => targetsOf(site, page(...children)).map((one) => [one.words, one.leads])

  test('is its buttons and links with words, in their order', () => {
    expect(leads(button('Book', { href: 'mailto:a@b.example' }), link('Chart', { page: chart!.id }), button(''))).toEqual([
      ['Book', 'mailto:a@b.example'],
      ['Chart', 'winter-sky-chart.html'],
    ])
  })

  test('is no name without a link, and none that leads to the top of its own page', () => {
    expect(leads(link('Hollin Ridge'), link('Top', { page: landing!.id }))).toEqual([])
    expect(leads(button('Go'))).toEqual([['Go', 'nowhere']])
  })

  test('is the form, for the button in it and for what leads to its section', () => {
    const form = { ...newBlock('form', makeId), children: [newBlock('field', makeId), button('Send')] }
    const section = { ...newSection('sign-up', makeId), children: [form as Block] }
    const with2 = {
      ...landing!,
      sections: [
        section,
        { ...newSection('closing', makeId), children: [button('Up', { page: landing!.id, section: section.id })] },
      ],
    }
    expect(targetsOf({ ...site, pages: [with2, ...site.pages.slice(1)] }, with2).map((one) => [one.words, one.leads])).toEqual([
      ['Send', 'the form'],
      ['Up', 'the form'],
    ])
  })

  test('leaves out what is hidden, with all that it holds', () => {
    const [first] = landing!.sections
    const hidden = after({ kind: 'field', block: first!.id, field: 'hidden', value: true })
    const before = visibleBlocks(landing!).length
    expect(visibleBlocks(hidden.pages[0]!).length).toBeLessThan(before)
    expect(visibleBlocks(hidden.pages[0]!).some(({ block }) => block.id === first!.id)).toBe(false)
  })
})
