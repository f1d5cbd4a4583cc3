import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ARRANGEMENTS } from '#core/arrangements/index'
import { arrange } from '#core/arrangements/arrange'
import { contrast } from '#core/colour/contrast'
import { oklchOf } from '#core/colour/oklch'
import { pairsOn } from '#core/analysis/contrast'
import { fillerFor } from '#core/deck/filler'
import { makeId } from '#core/deck/deck.fixture'
import { slotsOf } from '#core/deck/slots'
import { danglingIn } from '#core/edits/guide'
import { demoSite } from '#core/edits/edits.fixture'
import { DEFAULT_BREAKPOINTS, newSite } from '#core/site/defaults'
import type { Constraint } from '#core/site/brief'
import type { Site } from '#core/site/schema'
import { styleGuideSchema } from '#core/guide/style-guide'
import { firstGuides } from './first-guides'
import { runs } from '#core/values/runs.fixture'

const start = newSite('Barges', makeId)
const wanted = (...hexes: string[]): Constraint[] => hexes.map((hex) => ({ id: makeId(), kind: 'colour-wanted', hex }))
const withBrief = (site: Site, brief: Partial<Site['brief']>): Site => ({ ...site, brief: { ...site.brief, ...brief } })

/** A site with a section in every arrangement, every slot of which has words. */
const everything: Site = {
  ...start,
  pages: [
    {
      ...start.pages[0]!,
      sections: ARRANGEMENTS.map((one) => {
        const section = structuredClone(arrange(one, one.entries?.usual ?? 0, DEFAULT_BREAKPOINTS, makeId))
        slotsOf(section).forEach(({ block, role }, i) => (block.words = { en: [fillerFor(role, i)] }))
        return section
      }),
    },
  ],
}
const short = (site: Site) =>
  firstGuides(site).flatMap(({ name, guide }) =>
    pairsOn({ ...site, guide }, site.pages[0]!)
      .pairs.filter((one) => one.ratio < 4.5)
      .map((one) => `${name}: ${one.ink} on ${one.ground} ${one.ratio.toFixed(2)}`),
  )

describe('first style guides', () => {
  test('are six, each whole, each of its own face and colours', () => {
    const guides = firstGuides(start)
    expect(guides).toHaveLength(6)
    for (const { guide, reasons } of guides) {
      expect(styleGuideSchema.parse(guide)).toEqual(guide)
      expect(danglingIn(guide)).toBeUndefined()
      expect(guide.types.map((one) => one.role)).toEqual(start.guide.types.map((one) => one.role))
      expect(reasons.length).toBeGreaterThanOrEqual(3)
    }
    expect(new Set(guides.map(({ guide }) => guide.faces[0]!.family)).size).toBe(6)
    expect(new Set(guides.map(({ guide }) => guide.colours.find((one) => one.role === 'primary')!.hex)).size).toBe(6)
  })

  test('are the same for the same site', () => {
    expect(firstGuides(demoSite())).toEqual(firstGuides(demoSite()))
  })

  test('begin with what the brief’s tone asks for, and say so', () => {
    const [first] = firstGuides(withBrief(start, { tone: 'Loud, proud and sharp.' }))
    expect(first!.name).toBe('Signal')
    expect(first!.reasons[0]).toBe("The brief's tone says loud and proud and sharp.")
  })

  test('keep the client’s colours and faces as they are', () => {
    const site = withBrief(start, {
      constraints: [...wanted('#1A1D47', '#FFD36B', '#C0392B'), { id: 'f', kind: 'faces', families: ['lora', 'karla'] }],
    })
    for (const { guide } of firstGuides(site)) {
      const hexes = guide.colours.map((one) => one.hex)
      for (const hex of ['#1A1D47', '#FFD36B', '#C0392B']) expect(hexes).toContain(hex)
      expect(guide.colours.find((one) => one.role === 'primary')!.hex).toBe('#1A1D47')
      for (const { family } of guide.faces) expect(['lora', 'karla']).toContain(family)
    }
  })

  test('take colours and samples from the board, and keep away from what is not wanted', () => {
    const place = { x: 0, y: 0, width: 100, height: 100, caption: '' }
    const board: Site['board'] = [
      { ...place, id: 'a', kind: 'colour', hex: '#2A6F97' },
      { ...place, id: 'b', kind: 'colour', hex: '#E07A5F' },
      { ...place, id: 'c', kind: 'type', family: 'vollkorn', weight: 600, sample: 'x' },
    ]
    const guides = firstGuides({ ...start, board })
    expect(guides[0]!.guide.faces[0]!.family).toBe('vollkorn')
    const hues = ['#2A6F97', '#E07A5F'].map((hex) => oklchOf(hex).h)
    for (const { guide } of guides) {
      const { h } = oklchOf(guide.colours.find((one) => one.role === 'primary')!.hex)
      expect(hues.some((one) => Math.abs(one - h) < 4)).toBe(true)
    }
    const unwanted: Constraint[] = [{ id: 'u', kind: 'colour-unwanted', hex: '#2E7D32' }]
    const apart = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)
    for (const { guide } of firstGuides(withBrief(start, { constraints: unwanted })))
      for (const role of ['primary', 'accent']) {
        const { h, c } = oklchOf(guide.colours.find((one) => one.role === role)!.hex)
        expect(c < 0.04 || apart(h, oklchOf('#2E7D32').h) > 30, role).toBe(true)
      }
  })

  test('have enough contrast in every arrangement, in the demo, and keep roles that a site has besides', () => {
    expect(short(everything)).toEqual([])
    const demo = demoSite()
    expect(short(withBrief(demo, { constraints: [] }))).toEqual([])
    for (const { guide } of firstGuides(demo))
      for (const { role } of demo.guide.colours) expect(guide.colours.some((one) => one.role === role)).toBe(true)
  })

  test('have rings of focus that are seen, buttons that are read in every state, and notes that hold', () => {
    const boards: Site['brief']['constraints'][] = [[], wanted('#1F4E79'), wanted('#FFD36B', '#101020'), wanted('#7CFC9A')]
    for (const constraints of boards) {
      for (const { name, note, guide } of firstGuides(withBrief(start, { constraints }))) {
        const hex = (colour: { role?: string; hex?: string } | undefined) =>
          colour && (colour.hex ?? guide.colours.find((one) => one.role === colour.role)!.hex)
        const [ground, panel] = [hex({ role: 'ground' })!, hex({ role: 'panel' })!]
        for (const button of guide.buttons) {
          for (const under of [ground, panel]) {
            expect([name, button.name, contrast(hex(button.focus?.ring as never)!, under) >= 3]).toEqual([name, button.name, true])
            for (const state of [button.rest, { ...button.rest, ...button.hover }, { ...button.rest, ...button.pressed }])
              if (!(state.fill?.alpha && state.fill.alpha < 1))
                expect([name, button.name, contrast(hex(state.ink as never)!, hex(state.fill as never) ?? under) >= 4.5]).toEqual([
                  name,
                  button.name,
                  true,
                ])
          }
        }
        // A shadow is darker than the ground that it falls on.
        expect(oklchOf(hex({ role: guide.light.role })!).l).toBeLessThanOrEqual(oklchOf(ground).l)
        const { h, c } = oklchOf(ground)
        if (/warm/i.test(note) && c > 0.004)
          expect([name, constraints.length, h < 125 || h > 340]).toEqual([name, constraints.length, true])
        expect(note).toMatch(/^[A-Z].*\. For .*\.$/)
      }
    }
  })

  test('have enough contrast whatever colours a client wants kept', () => {
    const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0').toUpperCase()}`)
    fc.assert(
      fc.property(fc.array(hex, { maxLength: 3 }), fc.array(hex, { maxLength: 4 }), (fixed, onBoard) => {
        const board = onBoard.map((one, i) => ({
          id: `b${i}`,
          kind: 'colour' as const,
          hex: one,
          x: 0,
          y: 0,
          width: 100,
          height: 100,
          caption: '',
        }))
        const site = withBrief({ ...everything, board }, { constraints: wanted(...fixed) })
        for (const { guide } of firstGuides(site)) {
          const hexes = guide.colours.map((one) => one.hex)
          for (const one of fixed) expect(hexes).toContain(one)
          expect(contrast(hexes[0]!, guide.colours.find((one) => one.role === 'ink')!.hex)).toBeGreaterThan(4.5)
        }
        expect(short(site)).toEqual([])
      }),
      { numRuns: runs(8, 25), seed: 1911 },
    )
  }, 240_000)
})
