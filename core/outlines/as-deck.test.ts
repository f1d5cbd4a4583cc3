import { describe, expect, test } from 'vitest'
import { arrangementOf } from '#core/arrangements/index'
import { parseDeck } from '#core/deck/parse'
import { deckLinks } from '#core/deck/links'
import { allWords, makeId, textOf, withDeck } from '#core/deck/deck.fixture'
import { brokenLinks } from '#core/analysis/links'
import { applyEdit } from '#core/edits/index'
import { batchOf } from '#core/edits/batch'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { plainText } from '#core/values/words'
import { BOATYARD } from './boatyard.fixture'
import { deckRows, layOutDeck } from './as-deck'
import { jobOf } from './job-of'

const empty = newSite('Ferry Lane Boatyard', makeId)
const named: Site = { ...empty, pages: [{ ...empty.pages[0]!, name: 'Ferry Lane Boatyard' }] }
const waiting = withDeck(named, BOATYARD)
const page = waiting.pages[0]!
const laidOut = (site = waiting) => {
  const edits = layOutDeck(site, page.id, deckRows(site, site.pages[0]!), makeId)
  return applyEdit(site, batchOf('lay out', edits))
}

describe('the outline as the copy deck has it', () => {
  test('has the deck’s own sections in their order, each with its job', () => {
    expect(deckRows(waiting, page).map((row) => [row.name, row.job])).toEqual([
      ['Header', 'header'],
      ['Hero', 'opening'],
      ['Why row', 'reasons'],
      ['Boats', 'reasons'],
      ['How it works', 'plan'],
      ['Fares', 'prices'],
      ['What people wrote', 'proof'],
      ['Questions', 'questions'],
      ['Find us', 'contact'],
      ['Footer', 'footer'],
    ])
  })

  test('gives each the arrangement that holds its words best: four plans the one for four', () => {
    const rows = deckRows(waiting, page)
    expect(rows.filter((row) => row.left > 0)).toEqual([])
    const fares = arrangementOf(rows.find((row) => row.name === 'Fares')!.arrangement)!
    expect(fares.job).toBe('prices')
    expect(fares.entries!.most).toBeGreaterThanOrEqual(4)
  })

  test('lays out every word, links into their sections, and goes back in one step', () => {
    const { site, inverse } = laidOut()
    expect(site.unplaced).toEqual([])
    expect(site.pages[0]!.sections).toHaveLength(10)
    for (const words of allWords(waiting)) expect(allWords(site)).toContain(words)
    expect(brokenLinks(site)).toEqual([])
    const call = [...walkPage(site.pages[0]!)].find(
      (block) => block.kind === 'button' && plainText(block.words.en ?? []) === 'Book a boat',
    )
    const fares = site.pages[0]!.sections.find((one) => one.name === 'Fares')!
    expect(call).toMatchObject({ link: { page: page.id, section: fares.id } })
    expect(applyEdit(site, inverse).site).toEqual(waiting)
  })

  test('the deck that is printed then says the same, and has nothing left to lay out', () => {
    const { site } = laidOut()
    expect(deckRows(site, site.pages[0]!)).toEqual([])
    const order = (text: string) => [...text.matchAll(/^## (.+)$/gm)].map((one) => one[1])
    expect(order(textOf(site)).map((one) => one!.toLowerCase())).toEqual(
      ['Header', 'Opening', 'Why row', 'Boats', 'How it works', 'Fares', 'What people wrote', 'Questions', 'Find us', 'Footer'].map(
        (one) => (one === 'Opening' ? 'hero' : one.toLowerCase()),
      ),
    )
  })

  test('leaves sections that stand, and puts the others between them', () => {
    const some = layOutDeck(
      waiting,
      page.id,
      deckRows(waiting, page).filter((row) => row.job === 'prices' || row.job === 'header'),
      makeId,
    )
    const half = applyEdit(waiting, batchOf('half', some)).site
    const rest = laidOut(half).site
    expect(rest.pages[0]!.sections.map((one) => one.name ?? one.job)).toEqual(
      laidOut().site.pages[0]!.sections.map((one) => one.name ?? one.job),
    )
    expect(rest.unplaced).toEqual([])
  })

  test('two sections of one name get their own words each', () => {
    const text = '# Ferry Lane Boatyard\n\n## Story\n\n### One\n\nFirst words.\n\n## Story\n\n### Two\n\nSecond words.\n'
    const site = laidOut(withDeck(named, text)).site
    const words = site.pages[0]!.sections.map((section) =>
      [...walkPage({ ...page, sections: [section] })].flatMap((block) =>
        'words' in block ? [plainText(block.words.en ?? [])] : [],
      ),
    )
    expect(words[0]).toContain('First words.')
    expect(words[0]).not.toContain('Second words.')
    expect(words[1]).toContain('Second words.')
  })
})

describe('the job of a section', () => {
  const job = (text: string, first = false, last = false) => {
    const [section] = parseDeck(`# P\n\n## Quite its own name\n\n${text}`, deckLinks(named)).pages[0]!.sections
    return jobOf('Quite its own name', section!.passages, { first, last })
  }
  test('follows from its words where its name does not say it', () => {
    expect(job('| Day | £4 | each |')).toBe('prices')
    expect(job('> Fine.\n> — B.')).toBe('proof')
    expect(job('#### Why?\n\nSo.\n\n#### When?\n\nNow.')).toBe('questions')
    expect(job('#### 18:00\n\nDoors\n\n#### 19:30\n\nTea')).toBe('timetable')
    expect(job('- [A](index.html)\n- [B](index.html)', true)).toBe('header')
    expect(job('### Claim', true)).toBe('opening')
    expect(job('#### A\n\nx\n\n#### B\n\ny')).toBe('reasons')
    expect(job('### Words\n\nMore of them.\n\nAnd more.')).toBe('story')
  })
})
