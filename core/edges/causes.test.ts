import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'
import { causesInWords, causesOfEdge } from './causes'
import type { MeasuredBlock, Sides } from './measured'

const NONE: Sides = { left: 0, right: 0, top: 0, bottom: 0 }

/** A text in a section, and a block as it would be measured there. */
function scene(base: StyleValues): { site: Site; place: NonNullable<ReturnType<typeof findBlock>> } {
  const makeId = testIds()
  const site = newSite('Test', makeId)
  const text = { ...newBlock('text', makeId), style: { base } }
  const section = { ...newSection('opening', makeId), children: [text] }
  const made = { ...site, pages: [{ ...site.pages[0]!, sections: [section] }] }
  return { site: made, place: findBlock(made, text.id)! }
}

const measured = (edges: Sides, more: Partial<MeasuredBlock> = {}): MeasuredBlock => ({
  edges,
  border: NONE,
  padding: NONE,
  margin: NONE,
  columnGap: 0,
  rowGap: 0,
  columns: [],
  laidOut: [],
  ...more,
})

/** 1280 px wide, with twelve columns of 71.33 px in 1120. */
const section = measured(
  { left: 0, right: 1280, top: 0, bottom: 400 },
  { padding: { left: 80, right: 80, top: 64, bottom: 64 }, columnGap: 24, rowGap: 16 },
)
const column = (1120 - 11 * 24) / 12

describe('the causes of an edge', () => {
  test('on columns are the margin, the columns and the gutters before it', () => {
    const { site, place } = scene({ span: 4, start: 3 })
    const left = 80 + 2 * (column + 24)
    const text = measured({ left, right: left + 4 * column + 72, top: 64, bottom: 100 })
    expect(causesInWords(causesOfEdge('left', site, place, 0, [section, text]))).toBe(
      'margin 80 (1120 centred in 1280) + 2 columns 142.7 + 2 gutters 48 = 270.7',
    )
    expect(causesOfEdge('right', site, place, 0, [section, text]).map((one) => one.what)).toEqual([
      'margin',
      '6 columns',
      '6 gutters',
    ])
    expect(causesInWords(causesOfEdge('top', site, place, 0, [section, text]))).toBe('padding of the section 64')
    expect(causesInWords(causesOfEdge('bottom', site, place, 0, [section, text]))).toBe('its content 36')
  })

  test('below other rows are those, with their spaces and gaps, and the space before it', () => {
    const { site, place } = scene({ spaceBefore: pixels(10) })
    const rows = [
      { id: 'a', edges: { left: 80, right: 600, top: 64, bottom: 100 }, margin: { ...NONE, bottom: 6 } },
      { id: 'b', edges: { left: 640, right: 1200, top: 64, bottom: 90 }, margin: NONE },
    ]
    const text = measured({ left: 80, right: 1200, top: 132, bottom: 150 }, { margin: { ...NONE, top: 10 } })
    expect(causesInWords(causesOfEdge('top', site, place, 0, [{ ...section, laidOut: rows }, text]))).toBe(
      'padding of the section 64 + row above 42 + gap 16 + space before 10 = 132',
    )
  })

  test('of a held block are its distance, and of one past the columns what is beside them', () => {
    const held = scene({ position: 'held', left: { value: 5, unit: '%' } })
    const box = measured({ left: 64, right: 300, top: 0, bottom: 40 })
    expect(causesInWords(causesOfEdge('left', held.site, held.place, 0, [section, box]))).toBe('from the left 64 (5 % of 1280)')
    const past = scene({ reach: 'full' })
    const wide = measured({ left: 0, right: 1280, top: 64, bottom: 100 })
    expect(causesInWords(causesOfEdge('left', past.site, past.place, 0, [section, wide]))).toBe(
      'margin 80 (1120 centred in 1280) − past the columns 80 = 0',
    )
  })

  test('of a centred block are what is left of its room', () => {
    const { site, place } = scene({ selfJustify: 'center', width: pixels(240) })
    const box = measured({ left: 520, right: 760, top: 64, bottom: 100 })
    const parts = causesOfEdge('left', site, place, 0, [section, box])
    expect(parts.reduce((sum, one) => sum + one.px, 0)).toBeCloseTo(520)
    expect(parts.at(-1)).toMatchObject({ what: 'centred' })
  })
})
