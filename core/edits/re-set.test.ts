import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ARRANGEMENTS, arrangementsFor } from '#core/arrangements/index'
import { allWords, makeId, textOf, withDeck } from '#core/deck/deck.fixture'
import { newSection } from '#core/blocks/defaults'
import { newSite } from '#core/site/defaults'
import { siteSchema, type Site } from '#core/site/schema'
import { walk } from '#core/blocks/tree'
import { walkPage } from '#core/site/tree'
import { demoSite } from './edits.fixture'
import { applyEdit, type Edit } from './index'
import { EditError } from './edit'

const site = demoSite()
const sectionOf = (from: Site, job: string) => from.pages[0]!.sections.find((one) => one.job === job)!
let turn = 0
const reSet = (from: Site, section: string, arrangement: string) =>
  applyEdit(from, { kind: 're-set', section, arrangement, ids: `test${(turn++).toString(36).padStart(4, '0')}` })

describe('re-set', () => {
  test('keeps the words of each reason together, whatever the arrangement', () => {
    const { id } = sectionOf(site, 'reasons')
    const before = textOf(site)
    for (const { id: arrangement } of arrangementsFor('reasons')) {
      const next = reSet(site, id, arrangement).site
      expect(next.unplaced, arrangement).toEqual([])
      const there = textOf(next)
      const back = textOf(reSet(next, id, 'reasons-three').site)
      for (const text of [there, back]) {
        const entries = (all: string) => all.split('## Reasons')[1]!.split('\n## ')[0]!.split('####').slice(1)
        expect(entries(text).map((one) => one.trim())).toEqual(entries(before).map((one) => one.trim()))
      }
    }
  })

  test('makes as many entries as the words have, and more slots for texts and items', () => {
    const six = Array.from({ length: 6 }, (_, i) => `#### Reason ${i + 1}\n\nOne.\n\nTwo.`).join('\n\n')
    const filled = withDeck(site, textOf(site).replace(/## Reasons[^]*?(?=\n## )/, `## Reasons\n\n### Why\n\n${six}\n`))
    const { id } = sectionOf(filled, 'reasons')
    const next = reSet(filled, id, 'reasons-three').site
    expect(next.unplaced).toEqual([])
    expect(textOf(next)).toContain('#### Reason 6\n\nOne.\n\nTwo.')
    expect([...walk(sectionOf(next, 'reasons'))].filter((block) => block.kind === 'group' && block.entry)).toHaveLength(6)
  })

  test('leaves a section that is hidden hidden, and one that is shown shown', () => {
    const { id } = sectionOf(site, 'reasons')
    const hidden = applyEdit(site, { kind: 'field', block: id, field: 'hidden', value: true } as Edit).site
    expect(sectionOf(reSet(hidden, id, 'reasons-three').site, 'reasons').hidden).toBe(true)
    expect(sectionOf(reSet(site, id, 'reasons-three').site, 'reasons').hidden).toBeUndefined()
  })

  test('keeps pictures with their alternative texts, hidden where they have no place', () => {
    const { id } = sectionOf(site, 'work')
    const pictures = (one: Site) =>
      [...walk(sectionOf(one, 'work'))]
        .flatMap((block) => (block.kind === 'picture' && block.picture ? [`${block.picture} ${block.alt?.en}`] : []))
        .sort()
    const bare = reSet(site, id, 'story-column').site
    expect(pictures(bare)).toEqual(pictures(site))
    expect([...walk(sectionOf(bare, 'work'))].filter((block) => block.hidden).length).toBeGreaterThan(0)
    const back = reSet(bare, id, 'work-rows').site
    expect(pictures(back)).toEqual(pictures(site))
    expect([...walk(sectionOf(back, 'work'))].filter((block) => block.hidden)).toEqual([])
  })

  test('says what is wrong, and changes nothing', () => {
    const { id } = sectionOf(site, 'work')
    const heading = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'heading')!
    expect(() => reSet(site, id, 'no-such')).toThrow(/no arrangement “no-such”/)
    expect(() => reSet(site, heading.id, 'work-rows')).toThrow(/Only a section/)
    expect(() => reSet(site, 'gone', 'work-rows')).toThrow(EditError)
  })

  test('a new section takes the words that wait for its name or its job', () => {
    const start = newSite('New', makeId)
    const page = start.pages[0]!
    const imported = withDeck(
      start,
      '# Landing page\n\n## Opening\n\n### Bring a coat\n\nWe bring the rest.\n\n[Book](https://a.example)',
    )
    expect(imported.unplaced).toHaveLength(3)
    const section = newSection('opening', makeId)
    const added = applyEdit(imported, { kind: 'insert', parent: page.id, index: 0, blocks: [section] }).site
    const next = reSet(added, section.id, 'opening-split').site
    expect(next.unplaced).toEqual([])
    expect(textOf(next)).toContain('### Bring a coat')
    expect([...walk(next.pages[0]!.sections[0]!)].find((block) => block.kind === 'button')).toMatchObject({
      words: { en: ['Book'] },
      link: { href: 'https://a.example' },
    })
  })
})

const steps = fc.array(
  fc.record({ kind: fc.constantFrom('re-set', 'move', 'remove', 'remove-section', 'undo'), a: fc.nat(), b: fc.nat(), c: fc.nat() }),
  { minLength: 1, maxLength: 14 },
)
const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!

test('no sequence of re-set, move, delete and undo loses a word; undone altogether, the site is as it was', () => {
  fc.assert(
    fc.property(steps, (list) => {
      const words = allWords(site)
      const undo: Edit[] = []
      let now = site
      list.forEach(({ kind, a, b, c }, i) => {
        const page = now.pages[0]!
        const blocks = [...walkPage(page)]
        const containers = blocks.filter((block) => block.kind === 'group' || block.kind === 'section')
        const edit = (): Edit | undefined => {
          if (kind === 'undo') return undo.pop()
          if (blocks.length === 0) return undefined
          const block = pick(blocks, a).id
          if (kind === 'remove') return { kind: 'remove', blocks: [block] }
          if (kind === 'remove-section') return { kind: 'remove', blocks: [pick(page.sections, a).id] }
          if (kind === 'move') return { kind: 'move', block, parent: pick(containers, b).id, index: c % 5 }
          return {
            kind: 're-set',
            section: pick(page.sections, a).id,
            arrangement: pick(ARRANGEMENTS, b).id,
            ids: `step${i}x${(turn++).toString(36)}`,
          }
        }
        const made = edit()
        if (!made) return
        try {
          const { site: next, inverse } = applyEdit(now, made)
          now = next
          if (kind !== 'undo') undo.push(inverse)
        } catch (error) {
          if (!(error instanceof EditError)) throw error
        }
        const kept = allWords(now)
        for (const one of words) if (!kept.has(one)) throw new Error(`${kind} lost “${one}”`)
      })
      siteSchema.parse(now)
      for (const edit of undo.reverse()) now = applyEdit(now, edit).site
      expect(now).toEqual(site)
    }),
    { numRuns: 60 },
  )
})
