import { describe, expect, test } from 'vitest'
import { pairsOn } from '#core/analysis/contrast'
import { fillerFor } from '#core/deck/filler'
import { makeId } from '#core/deck/deck.fixture'
import { slotsOf } from '#core/deck/slots'
import { demoSite } from '#core/edits/edits.fixture'
import { DEFAULT_BREAKPOINTS, newSite } from '#core/site/defaults'
import { guideOf } from '#core/site/directions'
import type { Section } from '#core/blocks/index'
import type { Site } from '#core/site/schema'
import type { StyleGuide } from '#core/guide/style-guide'
import { walk } from '#core/blocks/tree'
import { distinctValues } from '#core/analysis/consistency'
import { tokensInUse } from '#core/analysis/values-in-use'
import { arrange } from './arrange'
import { ARRANGEMENTS } from './index'

const demo = demoSite()
const guides: [string, StyleGuide][] = [
  ['a new site’s', newSite('New', makeId).guide],
  ['Lamplight', demo.guide],
  ['Logbook', guideOf(demo, 'logbook')],
]

/** A site of one section, every slot of which has words. */
function siteOf(section: Section, guide: StyleGuide): Site {
  const filled = structuredClone(section)
  slotsOf(filled).forEach(({ block, role }, i) => (block.words = { en: [fillerFor(role, i)] }))
  const start = newSite('New', makeId)
  return { ...start, guide, pages: [{ ...start.pages[0]!, sections: [filled] }] }
}

describe.each(ARRANGEMENTS.map((one) => [one.id, one] as const))('%s', (_, arrangement) => {
  const section = arrange(arrangement, arrangement.entries?.usual ?? 0, DEFAULT_BREAKPOINTS, makeId)

  test('takes all its colours and spaces from the guide, so that the guide turns it', () => {
    const site = siteOf(section, guides[0]![1])
    expect(distinctValues(site, 'colour').filter((one) => one.literal)).toEqual([])
    const names = new Set([...site.guide.spaces, ...site.guide.corners, ...site.guide.shadows].map((one) => one.name))
    for (const token of tokensInUse({ ...site, guide: { ...site.guide, buttons: [], looks: { ...site.guide.looks, cards: [] } } }))
      expect(names.has(token), token).toBe(true)
  })

  test('names roles, kinds of button and faces that every guide has', () => {
    for (const [, guide] of guides) {
      const has = (list: readonly { role: string }[], role: string) => list.some((one) => one.role === role)
      for (const block of walk(section)) {
        if ('type' in block && block.type) expect(has(guide.types, block.type), block.type).toBe(true)
        if (block.kind === 'button')
          expect(
            guide.buttons.some((one) => one.name === block.look),
            block.look,
          ).toBe(true)
      }
      expect(distinctValues(siteOf(section, guide), 'colour').every((one) => one.literal || has(guide.colours, one.text))).toBe(
        true,
      )
    }
  })

  test.each(guides)('has enough contrast in %s guide', (__, guide) => {
    const site = siteOf(section, guide)
    const [page] = site.pages
    expect(pairsOn(site, page!).pairs.filter((one) => one.ratio < one.needed)).toEqual([])
  })
})
