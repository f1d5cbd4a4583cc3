import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { findings } from '#core/analysis/checks/index'
import { makeId } from '#core/deck/deck.fixture'
import { demoSite } from '#core/edits/edits.fixture'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { longWords } from './long-words'

const start = newSite('Barges', makeId)
function withHeading(text: string): Site {
  const heading = { ...newBlock('heading', makeId), level: 1, words: { en: [text] } }
  const section = { ...newSection('opening', makeId), children: [heading] }
  return { ...start, pages: [{ ...start.pages[0]!, sections: [section] }] }
}
const of = (site: Site) => longWords(site, site.pages[0]!)

describe('words that do not fit', () => {
  test('are named with their width, what they have, and where', () => {
    const [found] = of(withHeading('Donaudampfschifffahrtsgesellschaft'))
    expect(found).toMatchObject({ word: 'Donaudampfschifffahrtsgesellschaft', at: [375] })
    expect(found!.needs).toBeGreaterThan(found!.has)
    const site = withHeading('Donaudampfschifffahrtsgesellschaft')
    expect(findings(site).some(({ sentence }) => /is about \d+ px wide and has \d+ px at 375/.test(sentence))).toBe(true)
  })

  test('may be parted at hyphens and soft hyphens', () => {
    expect(of(withHeading('Donau\u00addampf\u00adschiff\u00adfahrts\u00adgesell\u00adschaft'))).toEqual([])
    expect(of(withHeading('Donau-dampf-schiff-fahrts-gesellschaft'))).toEqual([])
  })

  test('of a nav that is folded away have the window, over which they come out', () => {
    const links = ['Observatories', 'Constellations', 'Photography', 'Astronomers', 'Volunteering'].map((name) => ({
      ...newBlock('link', makeId),
      words: { en: [name] },
    }))
    const nav = (folds: object) => ({ ...newBlock('nav', makeId), style: { base: { layout: 'row' } }, children: links, ...folds })
    const brand = { ...newBlock('heading', makeId), level: 1, words: { en: ['Hollin Dark-Sky Observatory'] } }
    const header = (folds: object) => ({
      ...newSection('header', makeId),
      children: [{ ...newBlock('group', makeId), style: { base: { layout: 'row' } }, children: [brand, nav(folds)] }],
    })
    const site = (folds: object) => ({ ...start, pages: [{ ...start.pages[0]!, sections: [header(folds)] }] }) as unknown as Site
    expect(of(site({})).length).toBeGreaterThan(0)
    const below = start.breakpoints.at(-1)!.id
    expect(of(site({ folds: { below, as: 'drop' } })).filter(({ at }) => at.includes(375))).toEqual([])
  })

  test('are none in the demo', () => {
    const site = demoSite()
    expect(site.pages.flatMap((page) => longWords(site, page))).toEqual([])
  })
})
