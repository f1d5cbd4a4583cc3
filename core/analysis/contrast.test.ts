import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { contrast } from '#core/colour/contrast'
import { contrastOfBlock, isLarge, leastPx, neededRatio, pairsOn, rangesInWords } from './contrast'
import { repairsOf, withColour } from './contrast-repairs'
import { brokenRules, colourUses } from './colour-uses'

const site = demoSite()
const page = site.pages[0]!
const after = (...edits: Edit[]) => edits.reduce((now: Site, edit) => applyEdit(now, edit).site, site)
const coloured = (role: string, hex: string): Site => ({ ...site, guide: withColour(site.guide, role, hex) })
const NONE: ReadonlySet<string> = new Set()

describe('pairs of a page', () => {
  const { pairs, overPictures } = pairsOn(site, page)
  const pair = (ink: string, ground: string, from = pairs) => from.find((one) => one.ink === ink && one.ground === ground)

  test('are those that its blocks make, with their figures', () => {
    expect(pair('ink', 'ground')).toMatchObject({ inkHex: '#1A1D2E', groundHex: '#FFFFFF', needed: 4.5 })
    expect(pair('ink', 'ground')!.ratio).toBeCloseTo(contrast('#1A1D2E', '#FFFFFF'), 6)
    expect(pair('on-primary', 'night')).toBeDefined()
    expect(pair('accent', 'ground')).toBeUndefined()
  })

  test('of words with a blend mode are those of what it makes of them', () => {
    const text = { id: pair('ink', 'ground')!.blocks[0]! }
    const blended = after({ kind: 'style', block: text.id, scope: 'base', values: { blend: 'screen' } })
    // Ink that is screened with white is white.
    expect(pair('ink in screen', 'ground', pairsOn(blended, blended.pages[0]!).pairs)!.ratio).toBeCloseTo(1, 2)
    expect(contrastOfBlock(blended, blended.pages[0]!, text.id)!.ratio).toBeCloseTo(1, 2)
  })

  test('of buttons are those of every state', () => {
    expect(pair('on-accent', 'accent')).toBeDefined()
    expect(pair('on-accent', 'on-primary')).toBeDefined()
  })

  test('over a picture are listed, since their contrast differs from place to place', () => {
    const opening = page.sections.find((one) => one.job === 'opening')!
    const heading = [...walkPage({ ...page, sections: [opening] })].find((block) => block.kind === 'heading')!
    expect(overPictures.map((one) => one.block)).toContain(heading.id)
    expect(pairs.every((one) => !one.blocks.includes(heading.id))).toBe(true)
  })

  test('all pass in the demo, in both of its directions', () => {
    expect(pairs.filter((one) => one.ratio < one.needed)).toEqual([])
    const logbook = applyEdit(site, { kind: 'direction-current', direction: 'logbook' }).site
    expect(pairsOn(logbook, logbook.pages[0]!).pairs.filter((one) => one.ratio < one.needed)).toEqual([])
  })

  test('are those of the current direction, where it restyles a block', () => {
    const text = [...walkPage(page)].find((block) => block.kind === 'text' && pairs.some((one) => one.blocks.includes(block.id)))!
    const faint: Edit = { kind: 'style', block: text.id, direction: 'lamplight', scope: 'base', values: { ink: { role: 'line' } } }
    const restyled = after(faint)
    expect(pair('line', 'ground', pairsOn(restyled, page).pairs)?.blocks).toEqual([text.id])
    expect(
      colourUses(restyled, page).some((one) => one.block === text.id && 'role' in one.colour && one.colour.role === 'line'),
    ).toBe(true)
    const elsewhere = after({ ...faint, direction: 'logbook' } as Edit)
    expect(pair('line', 'ground', pairsOn(elsewhere, page).pairs)).toBeUndefined()
  })

  test('come with the least contrast first, and follow a hidden block and a card', () => {
    const rate = pairs.map((one) => one.ratio / one.needed)
    expect(rate).toEqual([...rate].sort((a, b) => a - b))
    const reasons = page.sections.find((one) => one.job === 'reasons')!
    const group = reasons.children.find((one) => one.kind === 'group')!
    const onCard = after({ kind: 'field', block: group.id, field: 'look', value: 'plain' })
    expect(pair('ink-soft', 'panel', pairsOn(onCard, onCard.pages[0]!).pairs)!.blocks.length).toBeGreaterThan(
      pair('ink-soft', 'panel')?.blocks.length ?? 0,
    )
    const hidden = after(...page.sections.map((one): Edit => ({ kind: 'field', block: one.id, field: 'hidden', value: true })))
    expect(pairsOn(hidden, hidden.pages[0]!)).toEqual({ pairs: [], overPictures: [] })
  })
})

describe('what text needs', () => {
  test.each([
    [16, 400, 4.5],
    [23.9, 400, 4.5],
    [24, 400, 3],
    [18.66, 700, 3],
    [18.66, 600, 4.5],
  ])('%d px at weight %d needs %d', (px, weight, ratio) => {
    expect(neededRatio(px, weight)).toBe(ratio)
    expect(isLarge(px, weight)).toBe(ratio === 3)
  })

  test('is asked of the least size that it has at any width', () => {
    const fluid = { fluid: { from: { at: 375, px: 20 }, to: { at: 1360, px: 40 } } }
    expect(leastPx(fluid, [1280, 375])).toBe(20)
    expect(leastPx({ value: 1.5, unit: 'rem' }, [1280])).toBe(24)
    expect(leastPx({ value: 50, unit: '%' }, [1280])).toBe(0)
  })
})

describe('repairs of a pair that falls short', () => {
  const pale = coloured('ink-soft', '#A5A8B8')
  const failing = pairsOn(pale, page).pairs.filter((one) => one.ratio < one.needed)

  test('make it pass, and break no other pair where that can be', () => {
    expect(failing.length).toBeGreaterThan(0)
    for (const pair of failing) {
      const [repair] = repairsOf(pair, pale, page, NONE)
      expect(repair).toMatchObject({ role: 'ink-soft', from: '#A5A8B8', breaks: 0 })
      const mended = { ...pale, guide: withColour(pale.guide, repair!.role, repair!.to) }
      expect(pairsOn(mended, page).pairs.filter((one) => one.ratio < one.needed)).toEqual([])
    }
  })

  test('leave a fixed role as it is', () => {
    for (const pair of failing)
      expect(repairsOf(pair, pale, page, new Set(['ink-soft'])).every((one) => one.role !== 'ink-soft')).toBe(true)
  })
})

describe('uses of roles, and rules about them', () => {
  test('name what uses a colour', () => {
    const uses = colourUses(site, page).filter((one) => 'role' in one.colour && one.colour.role === 'accent')
    expect(uses.length).toBeGreaterThan(0)
    expect(new Set(uses.map((one) => one.use))).toEqual(new Set(['calls']))
  })

  test('a rule that is kept is not spoken of; one that is broken says by how many', () => {
    for (const one of site.pages) expect(brokenRules(site, one)).toEqual([])
    const heading = [...walkPage(page)].find((block) => block.kind === 'heading')!
    const broken = after({ kind: 'style', block: heading.id, scope: 'base', values: { ink: { role: 'accent' } } })
    expect(brokenRules(broken, broken.pages[0]!)).toMatchObject([
      {
        role: 'accent',
        blocks: [heading.id],
        sentence: 'accent is meant for calls to action only, and 1 place uses it for words.',
      },
    ])
  })

  test('a highlight, an edge, a scrim and a gradient are uses', () => {
    const text = [...walkPage(page)].find((block) => block.kind === 'text')!
    const marked = after(
      { kind: 'words', block: text.id, words: { en: [{ kind: 'highlight', children: ['Dark'] }] } },
      { kind: 'style', block: text.id, scope: 'hover', values: { edgeColour: { role: 'line' } } },
    )
    const uses = colourUses(marked, marked.pages[0]!).filter((one) => one.block === text.id)
    expect(uses.map((one) => [one.use, one.what])).toEqual(
      expect.arrayContaining([
        ['words', 'highlight'],
        ['edges', 'edge'],
      ]),
    )
    expect(colourUses(site, page).some((one) => one.what === 'scrim' && one.use === 'shadows')).toBe(true)
  })
})

describe('the contrast of one block', () => {
  const text = [...walkPage(page)].find(
    (block) => block.kind === 'text' && pairsOn(site, page).pairs.some((one) => one.blocks.includes(block.id)),
  )!
  const narrow = site.breakpoints.at(-1)!
  const faint: Edit = { kind: 'style', block: text.id, scope: { below: narrow.id }, values: { ink: { role: 'line' } } }

  test('is that of the pair which the Style screen lists, in cards and on buttons as well', () => {
    for (const pair of pairsOn(site, page).pairs)
      for (const block of pair.blocks) expect(contrastOfBlock(site, page, block)!.ratio).toBeLessThanOrEqual(pair.ratio + 1e-9)
    const worst = pairsOn(site, page).pairs[0]!
    expect(contrastOfBlock(site, page, worst.blocks[0]!)!.ratio).toBeCloseTo(worst.ratio, 9)
  })

  test('sees an ink that is set for one range of widths only, and says which', () => {
    const changed = after(faint)
    const found = contrastOfBlock(changed, changed.pages[0]!, text.id)!
    expect(found.ratio).toBeLessThan(found.needed)
    expect(found.ranges).toEqual([site.breakpoints.length - 1])
    expect(rangesInWords(changed, found.ranges)).toBe(`below ${narrow.below}`)
    expect(pairsOn(changed, changed.pages[0]!).pairs.find((one) => one.ink === 'line')).toMatchObject({ ranges: found.ranges })
  })

  test('sees a fill that is set for one range only', () => {
    const section = page.sections.find((one) => [...walkPage({ ...page, sections: [one] })].some((block) => block.id === text.id))!
    const filled = after({ kind: 'style', block: section.id, scope: { below: narrow.id }, values: { fill: { role: 'ink-soft' } } })
    const inside = [...walkPage({ ...page, sections: [section] })].find((block) => block.kind === 'heading')!
    const wide = contrastOfBlock(site, page, inside.id)!
    expect(contrastOfBlock(filled, filled.pages[0]!, inside.id)!.ratio).toBeLessThan(wide.ratio)
  })

  test('ranges are said in words', () => {
    expect(rangesInWords(site, [0, 1, 2])).toBe('at all widths')
    expect(rangesInWords(site, [0])).toBe(`from ${site.breakpoints[1]!.below}`)
    expect(rangesInWords(site, [1])).toBe(`from ${narrow.below} to ${site.breakpoints[1]!.below! - 1}`)
  })
})
