import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newSection } from '#core/blocks/defaults'
import { applyEdit, type Edit } from '#core/edits/index'
import { batchOf } from '#core/edits/batch'
import { demoSite } from '#core/edits/edits.fixture'
import type { Site } from '#core/site/schema'
import { findBlock, walkPage } from '#core/site/tree'
import { allWords, makeId, textOf } from '#core/deck/deck.fixture'
import { deckOf } from '#core/deck/deck'
import { deckLinks } from '#core/deck/links'
import { parseDeck } from '#core/deck/parse'
import { reconcile } from './reconcile'
import { type DeckMemory, freshMemory, remember, senseOf } from './sense'
import { runs } from '#core/values/runs.fixture'

/** An editor of a site's deck: its text, and the site that it was brought to. */
type Typing = { site: Site; text: string; memory: DeckMemory; undo: { site: Site; text: string; back?: Edit }[] }

const open = (site: Site): Typing => ({ site, text: textOf(site), memory: freshMemory(site), undo: [] })

/** Typing comes to rest with a text. */
function rest(typing: Typing, text: string): Typing {
  const links = deckLinks(typing.site)
  const deck = parseDeck(text, links)
  const edits = reconcile(typing.site, deck, {
    language: 'en',
    links,
    makeId,
    missing: 'go',
    home: typing.site.pages[0]!.id,
    ...typing.memory,
  })
  const made = edits.length === 0 ? undefined : applyEdit(typing.site, batchOf('deck', edits))
  const site = made?.site ?? typing.site
  // What the page prints is what was typed, links to what was renamed under their new addresses.
  const home = site.pages[0]!.name
  expect(senseOf(deckOf(site, 'en'), deckLinks(site), home)).toBe(senseOf(deck, deckLinks(site), home))
  const memory = remember(deckOf(typing.site, 'en'), deckOf(site, 'en'), deck, typing.memory)
  const before = { site: typing.site, text: typing.text, ...(made ? { back: made.inverse } : {}) }
  return { site, text: says(text, site) === says(textOf(site), site) ? text : textOf(site), memory, undo: [...typing.undo, before] }
}

/** Takes the last step back, as the editor does: the site, and the text with it. */
function takeBack(typing: Typing): Typing {
  const last = typing.undo.at(-1)
  if (!last) return typing
  const site = last.back ? applyEdit(typing.site, last.back).site : typing.site
  expect(site).toEqual(last.site)
  return { site, text: textOf(site), memory: freshMemory(site), undo: typing.undo.slice(0, -1) }
}

const says = (text: string, site: Site) => senseOf(parseDeck(text, deckLinks(site)), deckLinks(site), site.pages[0]!.name)
const holds = ({ site, text }: Typing) => expect(says(textOf(site), site)).toBe(says(text, site))

const site = demoSite()
const text = textOf(site)
const [page] = site.pages
const named = (of: Site, name: string) => of.pages[0]!.sections.find((one) => (one.name ?? one.job).toLowerCase() === name)!
/** The part of a text from a section's heading to the next. */
const part = (of: string, heading: string) => {
  const from = of.indexOf(`## ${heading}\n`)
  const next = of.slice(from + 3).search(/^#{1,2} /m)
  return of.slice(from, next < 0 ? undefined : from + 3 + next)
}

describe('once typing rests, the deck is what the page prints', () => {
  test('words of sections that are deleted leave their slots, and the section its words; it is one step to take back', () => {
    const plan = part(text, 'Plan')
    const typing = rest(open(site), text.replace(plan, ''))
    holds(typing)
    expect(named(typing.site, 'plan').children).toHaveLength(named(site, 'plan').children.length)
    expect(typing.site.unplaced).toEqual(site.unplaced)
    expect(takeBack(typing).site).toEqual(site)
  })

  test('everything that is deleted leaves the page, and comes back in one step', () => {
    const typing = rest(open(site), '')
    holds(typing)
    expect(allWords(typing.site)).toEqual(new Set())
    expect(takeBack(typing).site).toEqual(site)
  })

  test('a section that is typed next takes over none of those that were deleted', () => {
    const typing = rest(
      rest(open(site), text.replace(part(text, 'Plan'), '')),
      text.replace(part(text, 'Plan'), '## Fares\n\n### What it costs\n\n'),
    )
    holds(typing)
    expect(named(typing.site, 'plan').id).toBe(named(site, 'plan').id)
    expect(typing.site.unplaced).toMatchObject([{ sectionName: 'Fares', words: { en: ['What it costs'] } }])
  })

  test.each([true, false])(
    'a section that is cut and pasted elsewhere moves with all that it holds (resting between: %s)',
    (rests) => {
      const plan = part(text, 'Plan')
      const without = text.replace(plan, '')
      const moved = without.replace('## Reasons\n', `${plan}## Reasons\n`)
      const start = rests ? rest(open(site), without) : open(site)
      const typing = rest(start, moved)
      holds(typing)
      const order = typing.site.pages[0]!.sections.map((one) => one.id)
      expect(order.indexOf(named(site, 'plan').id)).toBe(order.indexOf(named(site, 'reasons').id) - 1)
      expect(typing.site.pages[0]!.sections.find((one) => one.id === named(site, 'plan').id)).toEqual(named(site, 'plan'))
    },
  )

  test.each([true, false])('it moves to another page as well (resting between: %s)', (rests) => {
    const plan = part(text, 'Plan')
    const without = text.replace(plan, '')
    const start = rests ? rest(open(site), without) : open(site)
    const typing = rest(start, `${without.trimEnd()}\n\n${plan}`)
    holds(typing)
    expect(typing.site.pages.at(-1)!.sections.at(-1)).toEqual(named(site, 'plan'))
  })

  test('a section of the same name that is typed anew on another page moves none', () => {
    const start = rest(open(site), text.replace(part(text, 'Plan'), ''))
    const typing = rest(start, `${start.text.trimEnd()}\n\n## Plan\n\nSomething quite else.\n`)
    holds(typing)
    expect(named(typing.site, 'plan').id).toBe(named(site, 'plan').id)
  })

  test('a heading typed in its place renames the section, or the page', () => {
    const typing = rest(open(site), text.replace('## Plan', '## How a night goes').replace('# Autumn nights', '# Autumn evenings'))
    holds(typing)
    expect(named(typing.site, 'how a night goes').id).toBe(named(site, 'plan').id)
    expect(typing.site.pages.map((one) => one.id)).toEqual(site.pages.map((one) => one.id))
    expect(typing.site.pages[0]!.name).toBe('Autumn evenings')
  })

  test('the heading of a section without words renames it too, while the text names it', () => {
    const added = applyEdit(site, { kind: 'insert', parent: page!.id, index: 3, blocks: [newSection('people', makeId)] }).site
    const typing = rest(open(added), textOf(added).replace('## People', '## Volunteers'))
    expect(typing.site.pages[0]!.sections[3]).toMatchObject({ id: added.pages[0]!.sections[3]!.id, name: 'Volunteers' })
  })

  test('a new section waits where it was typed, between the others', () => {
    const typing = rest(open(site), text.replace('## Plan\n', '## Offer\n\nTwo for one.\n\n## Plan\n'))
    holds(typing)
    expect(textOf(typing.site).indexOf('Two for one.')).toBeLessThan(textOf(typing.site).indexOf('## Plan'))
    const later = rest(
      typing,
      typing.text.replace('## Offer\n\nTwo for one.\n\n', '').replace('## Reasons\n', '## Offer\n\nTwo for one.\n\n## Reasons\n'),
    )
    holds(later)
  })

  test('words in other languages stay when those of one are taken out', () => {
    const waiting = applyEdit(site, {
      kind: 'list',
      list: 'unplaced',
      drop: [],
      put: [
        {
          item: {
            id: 'w',
            page: page!.id,
            pageName: page!.name,
            sectionName: 'Offer',
            role: 'text',
            entry: 0,
            words: { en: ['Two'], cy: ['Dau'] },
          },
        },
      ],
    }).site
    const typing = rest(open(waiting), text)
    holds(typing)
    expect(typing.site.unplaced).toMatchObject([{ words: { cy: ['Dau'] } }])
    const welsh = [...walkPage(page!)].flatMap((block) => ('words' in block && block.words.cy ? [block.id] : []))
    const all = rest(open(site), '')
    for (const id of welsh) expect(findBlock(all.site, id)!.block).toMatchObject({ words: { cy: expect.anything() as object } })
  })
})

type Act = { kind: number; a: number; b: number; seed: string }
const act: fc.Arbitrary<Act> = fc.record({
  kind: fc.integer({ min: 0, max: 8 }),
  a: fc.nat({ max: 9999 }),
  b: fc.nat({ max: 9999 }),
  seed: fc.stringMatching(/^[a-z]{1,6}$/),
})

/** The parts of a text that begin with a heading of a page or section. */
const partsOf = (of: string) => of.split(/^(?=#{1,2} )/m)
let clipboard = ''

/** One act of typing on the text of a deck. */
function change(of: string, { kind, a, b, seed }: Act): string {
  const lines = of.split('\n')
  const parts = partsOf(of)
  const [line, other] = [a % lines.length, b % lines.length]
  const [one, place] = [a % parts.length, b % (parts.length + 1)]
  switch (kind) {
    case 0:
      return of.slice(0, a % (of.length + 1)) + seed + of.slice(a % (of.length + 1))
    case 1:
      return of.slice(0, a % (of.length + 1)) + of.slice((a % (of.length + 1)) + (b % 12))
    case 2:
      return lines.filter((_, i) => i !== line).join('\n')
    case 3: {
      const [cut] = lines.splice(line, 1)
      lines.splice(other, 0, '', cut!, '')
      return lines.join('\n')
    }
    case 4:
      clipboard = parts[one]!
      return parts.filter((_, i) => i !== one).join('')
    case 5:
      return [...parts.slice(0, place), clipboard, ...parts.slice(place)].join('\n\n')
    case 6: {
      const [cut] = parts.splice(one, 1)
      parts.splice(b % (parts.length + 1), 0, `${cut!.trimEnd()}\n\n`)
      return parts.map((each) => `${each.trimEnd()}\n\n`).join('')
    }
    case 7:
      return b % 5 === 0
        ? ''
        : [...parts.slice(0, place), `## ${seed}\n\n### The ${seed}\n\nSome words.\n\n`, ...parts.slice(place)].join('\n\n')
    default:
      return of.replace(/^## .+$/m, `## ${seed}`)
  }
}

test('whatever is typed, cut, pasted and taken back: the deck is what the page prints, and no other word goes', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(act, fc.boolean()), { minLength: 1, maxLength: 8 }), (acts) => {
      clipboard = ''
      let typing = open(site)
      for (const [one, back] of acts) {
        typing = rest(typing, change(typing.text, one))
        holds(typing)
        if (back) typing = takeBack(typing)
        holds(typing)
      }
      while (typing.undo.length > 0) typing = takeBack(typing)
      expect(typing.site).toEqual(site)
    }),
    { numRuns: runs(20, 60), seed: 1911 },
  )
})
