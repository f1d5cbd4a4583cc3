import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { makeId } from '#core/deck/deck.fixture'
import { slotsOf } from '#core/deck/slots'
import { applyEdit, type Edit } from '#core/edits/index'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { OUTLINES } from './outlines'
import { takeOutline } from './take'

const start = newSite('New', makeId)
const [first] = start.pages
const after = (from: Site, edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, from)
const outline = (id: string) => OUTLINES.find((one) => one.id === id)!
const take = (from: Site, id: string) => after(from, takeOutline(from, first!.id, outline(id).rows, outline(id).single, makeId))
const jobs = (of: Site) => of.pages[0]!.sections.map((one) => one.job)

describe('an outline that is taken', () => {
  test('leaves sections that the page has, and puts the others around them in order', () => {
    const proof = { ...newSection('proof', makeId), name: 'Log book' }
    const had = after(start, [{ kind: 'insert', parent: first!.id, index: 0, blocks: [proof] }])
    const made = take(had, 'book')
    expect(made.pages[0]!.sections.filter((one) => one.job === 'proof')).toEqual([proof])
    expect(jobs(made).indexOf('proof')).toBeLessThan(jobs(made).indexOf('closing'))
    expect([...jobs(made)].sort()).toEqual(
      outline('book')
        .rows.map((row) => row.job)
        .sort(),
    )
  })

  test('places words that wait for its sections', () => {
    const waiting: Edit = {
      kind: 'list',
      list: 'unplaced',
      drop: [],
      put: [
        {
          item: {
            id: 'w',
            page: first!.id,
            pageName: first!.name,
            sectionName: 'Reasons',
            role: 'heading',
            entry: 0,
            words: { en: ['Why come'] },
          },
        },
      ],
    }
    const made = take(after(start, [waiting]), 'book')
    expect(made.unplaced).toEqual([])
    const reasons = made.pages[0]!.sections.find((one) => one.job === 'reasons')!
    expect(slotsOf(reasons).map(({ block }) => block.words.en?.[0])).toContain('Why come')
  })

  test('with a single action brings a page that confirms, once, under an address that is free', () => {
    const taken: Edit = { kind: 'page-field', page: first!.id, values: { address: 'thank-you' } }
    const made = take(after(start, [taken]), 'sign-up')
    expect(made.pages.map((one) => one.address)).toEqual(['thank-you', 'thank-you-2'])
    const form = [...walkPage(made.pages[0]!)].find((block) => block.kind === 'form')!
    expect(form.link).toEqual({ page: made.pages[1]!.id })
    expect(made.pages[1]).toMatchObject({ unlisted: true, name: 'Landing page: thank you' })
    expect(take(made, 'sign-up')).toEqual(made)
  })

  test('leaves a form that leads somewhere already', () => {
    const form = { ...newBlock('form', makeId), link: { href: 'https://a.example' } }
    const section = { ...newSection('sign-up', makeId), children: [form] }
    const made = take(after(start, [{ kind: 'insert', parent: first!.id, index: 0, blocks: [section] }]), 'sign-up')
    expect(made.pages).toHaveLength(1)
  })

  test('is taken back in one step', () => {
    const edits = takeOutline(start, first!.id, outline('book').rows, false, makeId)
    const { site, inverse } = applyEdit(start, { kind: 'batch', label: 'outline', edits })
    expect(site).not.toEqual(start)
    expect(applyEdit(site, inverse).site).toEqual(start)
  })
})
