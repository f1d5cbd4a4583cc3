import { describe, expect, test } from 'vitest'
import { JOBS } from '#core/blocks/section'
import { slotsOf } from '#core/deck/slots'
import { makeId } from '#core/deck/deck.fixture'
import { applyEdit } from '#core/edits/index'
import { DEFAULT_BREAKPOINTS, newSite } from '#core/site/defaults'
import { blockSchema } from '#core/blocks/index'
import { walk } from '#core/blocks/tree'
import { arrange, entriesFor } from './arrange'
import { rowsFor } from './build'
import { ARRANGEMENTS, arrangementsFor } from './index'

const site = newSite('Empty', makeId)

test('there are at least 36, two or more for every job, each with a name and an id of its own', () => {
  expect(ARRANGEMENTS.length).toBeGreaterThanOrEqual(36)
  for (const job of JOBS) expect(arrangementsFor(job).length, job).toBeGreaterThanOrEqual(2)
  expect(new Set(ARRANGEMENTS.map((one) => one.id)).size).toBe(ARRANGEMENTS.length)
  expect(new Set(ARRANGEMENTS.map((one) => `${one.job} ${one.name}`)).size).toBe(ARRANGEMENTS.length)
})

describe.each(ARRANGEMENTS.map((one) => [one.id, one] as const))('%s', (_, arrangement) => {
  const counts = arrangement.entries
    ? [...new Set([arrangement.entries.least, arrangement.entries.usual, arrangement.entries.most])]
    : [0]

  test.each(counts)('with %i entries it is a section that a site takes, and its entries are known as such', (count) => {
    const section = arrange(arrangement, count, DEFAULT_BREAKPOINTS, makeId)
    expect(blockSchema.parse(section)).toEqual(section)
    applyEdit(site, { kind: 'insert', parent: site.pages[0]!.id, index: 0, blocks: [section] })
    const entries = new Set(slotsOf(section).map((slot) => slot.entry))
    entries.delete(0)
    expect(entries.size).toBe(count)
    expect(section.job).toBe(arrangement.job)
  })

  test('it fits whatever columns a site has, in every range', () => {
    for (const [wide, middle, narrow] of [
      [12, 8, 4],
      [16, 6, 2],
      [6, 4, 1],
    ]) {
      const breakpoints = [wide!, middle!, narrow!].map((columns, i) => ({ ...DEFAULT_BREAKPOINTS[i]!, columns }))
      for (const block of walk(arrange(arrangement, 3, breakpoints, makeId))) {
        const spans = [block.style.base, block.style.below?.middle, block.style.below?.narrow].map((one) => one?.span)
        spans.forEach((span, i) => expect(span ?? 1).toBeLessThanOrEqual(breakpoints[i]!.columns))
      }
    }
  })

  test('it stands on one breakpoint as on many', () => {
    const section = arrange(arrangement, 3, [DEFAULT_BREAKPOINTS[0]!], makeId)
    for (const block of walk(section)) expect(block.style).not.toHaveProperty('below')
  })

  test('it has no words, and says how many entries it takes', () => {
    for (const { block } of slotsOf(arrange(arrangement, 2, DEFAULT_BREAKPOINTS, makeId))) expect(block.words).toEqual({})
    expect(entriesFor(arrangement, 0)).toBe(arrangement.entries?.usual ?? 0)
    expect(entriesFor(arrangement, 500)).toBe(arrangement.entries?.most ?? 0)
  })
})

test('rows are even where they can be, and none has one entry alone', () => {
  expect([2, 3, 4, 5, 6, 7, 8, 9, 12, 13].map((count) => rowsFor(count, 4).join())).toEqual([
    '2',
    '3',
    '4',
    '3,2',
    '3,3',
    '4,3',
    '4,4',
    '3,3,3',
    '4,4,4',
    '4,3,3,3',
  ])
  expect([4, 5, 6, 7, 10].map((count) => rowsFor(count, 3).join())).toEqual(['2,2', '3,2', '3,3', '3,2,2', '2,2,2,2,2'])
  // Every arrangement keeps to it, whatever number it is asked for: what begins a row is never its last.
  for (const one of ARRANGEMENTS)
    for (let count = one.entries?.least ?? 0; count <= (one.entries ? Math.min(one.entries.most, 12) : -1); count++) {
      const groups = [...walk(arrange(one, count, DEFAULT_BREAKPOINTS, makeId))].filter(
        (block) => block.kind === 'group' && block.entry,
      )
      const spans = groups.map((block) => block.style.base?.span ?? 12)
      const room = 12
      if (spans.every((span) => span >= room)) continue
      let row: number[] = []
      const rows = [row]
      for (const span of spans) {
        if (row.reduce((a, b) => a + b, 0) + span > room) rows.push((row = []))
        row.push(span)
      }
      if (rows.length > 1)
        expect([one.id, count, rows.at(-1)!.length > 1 || rows.every((each) => each.length === 1)]).toEqual([one.id, count, true])
    }
})

test.each([2, 3, 4])('%i plans divide the row exactly', (count) => {
  const plans = arrangementsFor('prices').find((one) => one.id === 'prices-cards')!
  const section = arrange(plans, count, DEFAULT_BREAKPOINTS, makeId)
  const spans = [...walk(section)].filter((block) => block.kind === 'group' && block.entry).map((block) => block.style.base!.span)
  expect(spans).toEqual(Array.from({ length: count }, () => 12 / count))
})
