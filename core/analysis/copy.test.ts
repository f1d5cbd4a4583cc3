import { describe, expect, test } from 'vitest'
import { textOf, withDeck } from '#core/deck/deck.fixture'
import { fillerFor, isPlaceholder } from '#core/deck/filler'
import { replaceInDeck, searchDeck } from '#core/reconcile/search'
import { applyEdit } from '#core/edits/index'
import { demoSite } from '#core/edits/edits.fixture'
import { ROLES } from '#core/values/passage-role'
import type { Site } from '#core/site/schema'
import { copyFindings } from './copy'

const site = demoSite()
const opening = (text: string, from = site) =>
  withDeck(from, textOf(from).replace(/## Opening[^]*?(?=\n## )/, `## Opening\n\n${text}\n`))
const findingsIn = (from: Site, name: string) => copyFindings(from, 'en').find((one) => one.name === name)!
const kinds = (from: Site, name = 'Opening') => findingsIn(from, name).findings.map((one) => one.kind)

describe('findings about the copy', () => {
  test('the demo’s own copy is complete', () => {
    const sections = copyFindings(site, 'en')
    expect(sections.map((one) => one.section)).toEqual(site.pages.flatMap((page) => page.sections.map((one) => one.id)))
    expect(sections.flatMap((one) => one.findings)).toEqual([])
    expect(findingsIn(site, 'Opening')).toMatchObject({ slots: 4, filled: 4, words: 35 })
  })

  test('slots without words, words without a slot and placeholders are counted', () => {
    expect(kinds(opening('### Bring a coat.'))).toEqual(['empty', 'empty', 'empty'])
    expect(kinds(opening('### A\n\nB\n\n- C'))).toContain('unplaced')
    expect(kinds(opening(`### ${fillerFor('heading', 3)}`))).toContain('placeholder')
  })

  test('a section that only the deck has is counted by its words, and has no slots', () => {
    const more = withDeck(site, `${textOf(site)}\n## Parking\n\nBy the gate.\n`)
    expect(copyFindings(more, 'en').find((one) => one.name === 'Parking')).toMatchObject({ slots: 0, filled: 0, words: 3 })
  })

  test('headings that repeat or are long, and buttons that say nothing', () => {
    expect(kinds(opening('### A night, step by step\n\n### A night, step by step\n'))).toContain('repeated')
    const [long] = findingsIn(opening(`### ${'Long '.repeat(15)}`), 'Opening').findings.filter((one) => one.kind === 'long')
    expect(long!.sentence).toContain('74 characters; 70 are read')
    for (const text of ['Submit', 'click here', 'More…'])
      expect(kinds(opening(`### A\n\n[${text}](https://a.example)`)), text).toContain('vague')
    expect(kinds(opening('### A\n\n[Book an evening](https://a.example)'))).not.toContain('vague')
  })
})

describe('placeholder words', () => {
  test.each(ROLES)('for a slot of the role %s are marked, and the same for the same seed', (role) => {
    const text = fillerFor(role, 42)
    expect(text).toMatch(/^‹\p{Lu}[^‹›]*›$/u)
    expect(isPlaceholder(text)).toBe(true)
    expect(fillerFor(role, 42)).toBe(text)
    expect(fillerFor(role, 43)).not.toBe(text)
  })
  test('are not seen in real words', () => expect(isPlaceholder('Bring a coat. We will bring the galaxies.')).toBe(false))
})

describe('search and replace', () => {
  const loose = { matchCase: false, wholeWords: false }
  test('finds words on the page and among the unplaced, in any case or in one', () => {
    const from = opening('### Coat after coat\n\n- Coatless')
    const hits = searchDeck(from, 'en', 'coat', loose).filter((one) => one.section === 'Opening')
    expect(hits.map((one) => one.count)).toEqual([2, 1])
    expect(hits[1]).toHaveProperty('unplaced')
    expect(searchDeck(from, 'en', 'Coat', { matchCase: true, wholeWords: true })).toMatchObject([{ count: 1 }])
    expect(searchDeck(from, 'en', '', loose)).toEqual([])
    expect(searchDeck(from, 'en', '.*', loose)).toEqual([])
  })

  test('replaces as it is written, and keeps marks', () => {
    const from = opening('### A **coat** of tar\n\n- coat')
    const next = replaceInDeck(from, 'en', 'coat', '$& hat', loose).reduce((now: Site, edit) => applyEdit(now, edit).site, from)
    expect(textOf(next)).toContain('### A **$& hat** of tar')
    expect(searchDeck(next, 'en', 'coat', loose)).toEqual([])
    expect(next.unplaced).toHaveLength(1)
  })
})
