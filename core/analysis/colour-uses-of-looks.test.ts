import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { demoSite } from '#core/edits/edits.fixture'
import { createRenderer } from '#core/render/page'
import { type Block, sharedClass } from '#core/blocks/index'
import { testIds } from '#core/values/ids.fixture'
import type { Site } from '#core/site/schema'
import { role } from '#core/values/colour'
import { pairsOn } from './contrast'
import { repairsOf, withColour } from './contrast-repairs'
import { colourUses } from './colour-uses'

const makeId = testIds()
const demo = demoSite()
const text: Block = { ...newBlock('text', makeId), words: { en: ['Bring a coat'] } }

/** The demo site with a page of these blocks alone. */
function siteOf(children: Block[], guide: Site['guide'] = demo.guide): Site {
  const page = { ...demo.pages[0]!, sections: [{ ...newSection('reasons', makeId), children }] }
  return { ...demo, guide, pages: [page] }
}
const usesOf = (site: Site) =>
  colourUses(site, site.pages[0]!).flatMap((one) => ('role' in one.colour ? [`${one.colour.role}: ${one.use}`] : []))
const looks = (values: Partial<Site['guide']['looks']>) => ({ ...demo.guide, looks: { ...demo.guide.looks, ...values } })

describe('looks use colours', () => {
  test.each<[string, Block[], Partial<Site['guide']['looks']>, string[]]>([
    ['a card', [{ ...newBlock('group', makeId), look: 'raised', children: [text] }], {}, ['ground: grounds', 'line: edges']],
    [
      'a table with stripes',
      [{ ...newBlock('group', makeId), look: 'table', children: [text] }],
      { table: { line: role('line'), lineWidth: 1, padding: { value: 8, unit: 'px' }, stripe: role('panel') } },
      ['line: edges', 'panel: grounds'],
    ],
    [
      'a field',
      [{ ...newBlock('field', makeId), words: { en: ['Mail'] } }],
      {},
      ['ground: grounds', 'ink-soft: edges', 'link: calls'],
    ],
    [
      'a list',
      [newBlock('list', makeId)],
      { list: { marker: 'tick', ink: role('link'), gap: { value: 0, unit: 'px' } } },
      ['link: words'],
    ],
    [
      'a link',
      [{ ...newBlock('link', makeId), words: { en: ['Chart'] } }],
      { link: { rest: { ink: role('link') }, hover: { ink: role('ink') }, underline: 'always' } },
      ['link: words', 'ink: words'],
    ],
    ['a divider', [newBlock('divider', makeId)], {}, ['line: edges']],
  ])('of %s', (_, blocks, values, expected) => {
    expect(usesOf(siteOf(blocks, looks(values)))).toEqual(expect.arrayContaining(expected))
  })

  test('but not where nothing has that look', () => {
    expect(usesOf(siteOf([text]))).toEqual(['ground: grounds', 'ink: words'])
  })
})

describe('words on a card', () => {
  const card = (look: string): Block => ({ ...newBlock('group', makeId), look, children: [text] }) as Block
  const guide = looks({ cards: [{ ...demo.guide.looks.cards[0]!, name: 'dark', fill: role('night'), ink: role('on-primary') }] })
  const pairs = (site: Site) => pairsOn(site, site.pages[0]!).pairs.map((one) => `${one.ink} on ${one.ground}`)

  test('stand on its fill, in its ink', () => {
    expect(pairs(siteOf([card('dark')], guide))).toEqual(['on-primary on night'])
    expect(pairs(siteOf([card('plain')]))).toEqual(['ink on panel'])
  })

  test('keep what the block itself says, and see through a fill that is not whole', () => {
    const own = { ...card('dark'), style: { base: { fill: role('panel'), ink: role('link') } } } as Block
    expect(pairs(siteOf([own], guide))).toEqual(['link on panel'])
    const faint = { ...newBlock('group', makeId), style: { base: { fill: role('night', 0.2) } }, children: [text] } as Block
    expect(pairs(siteOf([faint]))).toEqual(['ink on ground'])
  })

  test('over a gradient or a picture behind them have no one ground', () => {
    const gradient = {
      ...newBlock('group', makeId),
      style: {
        base: {
          fillLayers: [
            {
              kind: 'linear' as const,
              angle: 0,
              space: 'srgb' as const,
              stops: [
                { at: 0, colour: role('ink') },
                { at: 100, colour: role('night') },
              ],
            },
          ],
        },
      },
      children: [text],
    } as Block
    const backdrop = { ...newBlock('picture', makeId), style: { base: { position: 'backdrop' as const } } } as Block
    const over = { ...newBlock('group', makeId), children: [backdrop, text] } as Block
    for (const block of [gradient, over]) {
      const site = siteOf([block])
      expect(pairsOn(site, site.pages[0]!)).toEqual({ pairs: [], overPictures: [{ block: text.id, ink: 'ink' }] })
    }
  })
})

test('a look is a class that blocks share', () => {
  const group = newBlock('group', makeId)
  expect(sharedClass(group)).toBe('')
  expect(sharedClass({ ...group, look: 'raised' })).toBe('card-raised')
  expect(sharedClass({ ...group, look: 'table' })).toBe('table')
  const site = siteOf([{ ...group, look: 'raised', children: [text] } as Block])
  const render = createRenderer({
    language: 'en',
    editing: false,
    viewportUnit: 'unit',
    addresses: { picture: () => '', link: () => '', form: () => '' },
  })
  expect(JSON.stringify(render(site, site.pages[0]!)[0]!.element)).toContain('"card-raised"')
})

test('what is offered for a pair makes that pair pass, whatever the colours', () => {
  const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0').toUpperCase()}`)
  fc.assert(
    fc.property(hex, hex, (ink, ground) => {
      const site = siteOf([text], withColour(withColour(demo.guide, 'ink', ink), 'ground', ground))
      const [page] = site.pages
      const [pair] = pairsOn(site, page!).pairs
      if (!pair || pair.ratio >= pair.needed) return
      for (const repair of repairsOf(pair, site, page!, new Set())) {
        const mended = pairsOn({ ...site, guide: withColour(site.guide, repair.role, repair.to) }, page!).pairs[0]!
        expect(mended.ratio).toBeGreaterThanOrEqual(mended.needed)
        expect(mended.ratio).toBeCloseTo(repair.ratio, 6)
        expect(repair.breaks).toBe(0)
      }
    }),
    { numRuns: 25 },
  )
})
