import { describe, expect, test } from 'vitest'
import { makeId, textOf, withDeck } from '#core/deck/deck.fixture'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Constraint } from '#core/site/brief'
import type { Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import { takeOutline } from '#core/outlines/take'
import { OUTLINES } from '#core/outlines/outlines'
import { newSite } from '#core/site/defaults'
import { answerVerdict, verdictOn } from './brief'
import { constraintInWords } from '#core/site/brief-words'

const site = demoSite()
const page = site.pages[0]!
const after = (from: Site, ...edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, from)
const on = (constraint: Constraint, from = site) => verdictOn(constraint, from.pages[0]!, from)
const guide = (hexes: Record<string, string>): Edit => ({
  kind: 'guide',
  part: 'colours',
  value: site.guide.colours.map((one) => ({ ...one, hex: hexes[one.role] ?? one.hex })),
})

describe('verdicts turn as the page changes', () => {
  test('a colour that must appear, and one that must not', () => {
    const indigo = { id: 'a', kind: 'colour-wanted', hex: '#1A1D47' } as const
    expect(on(indigo)).toMatchObject({ ok: true, sentence: '#1A1D47 is on the page, as primary.' })
    expect(on(indigo, after(site, guide({ primary: '#102030' }))).ok).toBe(false)
    const pink = { id: 'b', kind: 'colour-unwanted', hex: '#FF00AA' } as const
    expect(on(pink).ok).toBe(true)
    expect(on(pink, after(site, guide({ accent: '#FF00AA' })))).toMatchObject({
      ok: false,
      sentence: expect.stringContaining('as accent'),
    })
    // A role that no block of the page uses does not count.
    expect(
      on(
        pink,
        after(site, {
          kind: 'guide',
          part: 'colours',
          value: [...site.guide.colours, { role: 'spare', hex: '#FF00AA' }],
        }),
      ).ok,
    ).toBe(true)
  })

  test('faces', () => {
    expect(on({ id: 'a', kind: 'faces', families: ['fraunces', 'instrument-sans'] }).ok).toBe(true)
    expect(on({ id: 'a', kind: 'faces', families: ['fraunces'] }).sentence).toBe('The page is also set in Instrument Sans.')
    expect(on({ id: 'a', kind: 'faces', families: ['fraunces', 'instrument-sans', 'lora'] }).sentence).toBe(
      'The page does not use Lora.',
    )
  })

  test('navigation links, at most so many or none', () => {
    const links = (count: number) => ({ id: 'a', kind: 'most-links', count }) as const
    const steering = page.sections.filter((one) => one.job !== 'footer')
    const navs = steering.flatMap((one) => [...walk(one)]).filter((block) => block.kind === 'nav')
    const all = navs.reduce((sum, nav) => sum + nav.children.length, 0)
    expect(on(links(all)).ok).toBe(true)
    expect(on(links(all - 1))).toMatchObject({
      ok: false,
      sentence: `The navigation has ${all} links; ${all - 1} at most are wanted.`,
      block: navs[0]!.id,
    })
    expect(on(links(0)).ok).toBe(false)
    expect(on(links(0), after(site, { kind: 'remove', blocks: navs.map((one) => one.id) }))).toMatchObject({
      ok: true,
      sentence: 'There is no navigation.',
    })
  })

  test('sections that must be there', () => {
    const wanted = { id: 'a', kind: 'sections', jobs: ['opening', 'proof'] } as const
    expect(on({ ...wanted, jobs: [...wanted.jobs] }).ok).toBe(true)
    const proof = page.sections.find((one) => one.job === 'proof')!
    expect(
      on({ ...wanted, jobs: [...wanted.jobs] }, after(site, { kind: 'field', block: proof.id, field: 'hidden', value: true })),
    ).toMatchObject({
      ok: false,
      sentence: 'Not on the page: proof.',
    })
  })

  test('words in the opening', () => {
    expect(on({ id: 'a', kind: 'opening-words', count: 35 }).ok).toBe(true)
    const longer = withDeck(site, textOf(site).replace('being asked why.', 'being asked why, at length.'))
    expect(on({ id: 'a', kind: 'opening-words', count: 35 }, longer)).toMatchObject({
      ok: false,
      sentence: 'The opening has 37 words; 35 at most are wanted.',
    })
  })

  test('the answers to the three questions', () => {
    const blank = after(site, { kind: 'brief', page: page.id, values: { what: '' } })
    expect(answerVerdict('what', blank.pages[0]!, blank)).toMatchObject({ ok: false, sentence: 'Not answered yet.' })
    const answered = after(site, {
      kind: 'brief',
      page: page.id,
      values: { what: 'Evenings under dark skies with volunteers', now: 'Telephone the warden' },
    })
    expect(answerVerdict('what', answered.pages[0]!, answered).ok).toBe(true)
    expect(answerVerdict('now', answered.pages[0]!, answered)).toMatchObject({
      ok: false,
      sentence: '0 of the 2 telling words of the answer stand in the opening.',
    })
  })
})

describe('a page with a single action', () => {
  const outline = OUTLINES.find((one) => one.id === 'sign-up')!
  const start = newSite('New', makeId)
  const made = after(start, ...takeOutline(start, start.pages[0]!.id, outline.rows, outline.single, makeId))
  const filled = withDeck(
    made,
    textOf(made).replace('## Sign up\n', '## Sign up\n\n### A chart\n\n- [ ] Mail\n\n[Send me the chart]()\n'),
  )
  const one = { id: 'a', kind: 'one-action' } as const
  const confirmed = { id: 'b', kind: 'confirmation' } as const

  test('leads nowhere else, has no navigation and is confirmed on the same site', () => {
    expect(filled.pages.map((each) => [each.address, each.unlisted ?? false])).toEqual([
      ['', false],
      ['thank-you', true],
    ])
    expect(on(one, filled)).toMatchObject({ ok: true })
    expect(on({ id: 'c', kind: 'most-links', count: 0 }, filled).ok).toBe(true)
    expect(on(confirmed, filled)).toMatchObject({
      ok: true,
      sentence: 'The form is confirmed on “Landing page: thank you”, on the same site.',
    })
  })

  test('is told when something leads away, or when the confirmation goes', () => {
    const heading = [...walkPage(filled.pages[0]!)].find((block) => block.kind === 'button')!
    const away = after(filled, { kind: 'field', block: heading.id, field: 'link', value: { href: 'https://a.example' } })
    const button = [...walkPage(away.pages[0]!)].find((block) => block.kind === 'button')!
    expect(
      on(
        one,
        after(away, {
          kind: 'insert',
          parent: away.pages[0]!.sections[1]!.id,
          index: 0,
          blocks: [{ ...button, id: 'other', link: { href: 'https://b.example' } }],
        }),
      ),
    ).toMatchObject({ ok: false })
    expect(on(confirmed, after(filled, { kind: 'page-remove', page: filled.pages[1]!.id })).ok).toBe(false)
    expect(on(confirmed).sentence).toContain('no form')
  })
})

describe.each(OUTLINES.map((outline) => [outline.id, outline] as const))('the outline %s', (_, outline) => {
  test('is a running order with a reason for every section, and brings what it says', () => {
    const start = newSite('New', makeId)
    const made = after(start, ...takeOutline(start, start.pages[0]!.id, outline.rows, outline.single, makeId))
    expect(made.pages[0]!.sections.map((one) => one.job)).toEqual(outline.rows.map((row) => row.job))
    expect(outline.rows.every((row) => row.reason.length > 20)).toBe(true)
    const kinds = [...walkPage(made.pages[0]!)].map((block) => block.kind)
    if (outline.single) {
      expect(kinds).toContain('form')
      expect(kinds).not.toContain('nav')
      expect(made.pages).toHaveLength(2)
    } else expect(made.pages).toHaveLength(1)
    // Taken again, it finds its sections there and changes nothing.
    expect(takeOutline(made, made.pages[0]!.id, outline.rows, outline.single, makeId)).toEqual([])
  })
})

test('constraints are said in words', () => {
  expect(constraintInWords({ id: 'a', kind: 'most-links', count: 0 })).toBe('No navigation')
  expect(constraintInWords({ id: 'a', kind: 'faces', families: ['fraunces', 'lora'] })).toBe('Set in Fraunces and Lora alone')
})
