import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { columnWidth, contentWidth, spanWidth } from '#core/grid/columns'
import { extentAt } from '#core/picture/sizes'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { type Block, type BlockOf, type Container, traitsOf } from '#core/blocks/index'
import type { Style, StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { extentOf, layoutAt, pageSurround, settingAt, surroundOf } from './surround'

const makeId = testIds()
const wide = DEFAULT_BREAKPOINTS[0]!
const page = pageSurround(DEFAULT_BREAKPOINTS)
const section = surroundOf(newSection('opening', makeId), page, DEFAULT_BREAKPOINTS)

const group = (base: StyleValues, below?: Style['below']): BlockOf<'group'> => ({
  ...newBlock('group', makeId),
  style: below ? { base, below } : { base },
})
const picture = (base: StyleValues): Block => ({ ...newBlock('picture', makeId), style: { base } })
const inside = (...containers: Container[]) =>
  containers.reduce((outer, one) => surroundOf(one, outer, DEFAULT_BREAKPOINTS), section)

describe('what a container offers', () => {
  test('a section offers the columns of each range', () => {
    expect(section.ranges.map((one) => [one.layout, one.columns, one.gutter])).toEqual([
      ['grid', 12, 24],
      ['grid', 8, 24],
      ['grid', 4, 16],
    ])
  })

  test('a grid on the page’s columns offers as many as it spans, cut to what there is', () => {
    expect(inside(group({ layout: 'grid', span: 6 })).ranges.map((one) => one.columns)).toEqual([6, 6, 4])
  })

  test('a grid with its own columns offers those, with its own gap', () => {
    const offered = inside(group({ layout: 'grid', tracks: 3, gap: pixels(10) }))
    expect(offered.ranges.map((one) => [one.columns, one.gutter])).toEqual([
      [3, 10],
      [3, 10],
      [3, 10],
    ])
  })

  test('a grid in a column offers the page’s columns anew', () => {
    expect(inside(group({}), group({ layout: 'grid' })).ranges.map((one) => one.columns)).toEqual([12, 8, 4])
  })

  test('its key tells whether anything of it differs', () => {
    expect(inside(group({ span: 6 })).key).toBe(inside(group({ span: 6, opacity: 0.5 })).key)
    expect(inside(group({ span: 6 })).key).not.toBe(inside(group({ span: 7 })).key)
    expect(inside(group({})).key).not.toBe(inside(group({}, { narrow: { layout: 'row' } })).key)
  })
})

describe('the width that a block takes', () => {
  const widthAt = (block: Block, where: ReturnType<typeof inside>, viewport: number) =>
    extentAt(extentOf(block, where, DEFAULT_BREAKPOINTS, 0), wide, viewport)

  test.each([1024, 1100, 1280, 1600])('is that of its columns, at %i px', (viewport) => {
    expect(widthAt(picture({ span: 5 }), section, viewport)).toBeCloseTo(spanWidth(wide, viewport, 5), 6)
    expect(widthAt(picture({}), section, viewport)).toBeCloseTo(contentWidth(wide, viewport), 6)
  })

  test('inside a subgrid is still that of the page’s columns', () => {
    expect(widthAt(picture({ span: 2 }), inside(group({ layout: 'grid', span: 7 })), 1280)).toBeCloseTo(spanWidth(wide, 1280, 2), 6)
  })

  test('inside a grid of its own columns is a share of it, less the gaps', () => {
    const third = widthAt(picture({ span: 1 }), inside(group({ layout: 'grid', tracks: 3, gap: pixels(30) })), 1280)
    expect(third).toBeCloseTo((contentWidth(wide, 1280) - 2 * 30) / 3, 6)
  })

  test('inside a column with padding is what the padding leaves', () => {
    expect(widthAt(picture({}), inside(group({ span: 6, paddingSides: pixels(20) })), 1280)).toBeCloseTo(
      spanWidth(wide, 1280, 6) - 40,
      6,
    )
  })

  test('is its own where it has one in px, and the section’s where it lies behind all', () => {
    expect(widthAt(picture({ width: pixels(90) }), section, 1280)).toBe(90)
    expect(columnWidth(wide, 1280)).toBeLessThan(90)
    expect(widthAt(picture({ position: 'backdrop' }), section, 1280)).toBeCloseTo(contentWidth(wide, 1280), 6)
  })
})

test('layouts: a section is a grid, a group a column and a nav a row until told otherwise', () => {
  const of = (block: Block) => layoutAt(block, DEFAULT_BREAKPOINTS, 0)
  expect([of(newSection('opening', makeId)), of(group({})), of(newBlock('nav', makeId)), of(newBlock('list', makeId))]).toEqual([
    'grid',
    'column',
    'row',
    'column',
  ])
  expect(layoutAt(group({}, { middle: { layout: 'row' } }), DEFAULT_BREAKPOINTS, 2)).toBe('row')
})

test('a block is told where it stands', () => {
  const block = group({}, { narrow: { layout: 'overlay' } })
  expect(settingAt(block, section, DEFAULT_BREAKPOINTS, 2, 'unit')).toEqual({
    traits: traitsOf('group'),
    parent: 'grid',
    inSection: true,
    layout: 'overlay',
    columns: 4,
    viewportUnit: 'unit',
  })
})

describe('a block that reaches past the columns', () => {
  const at = (base: StyleValues, viewport: number, of = section) => {
    const index = DEFAULT_BREAKPOINTS.findLastIndex((one) => one.below === null || viewport < one.below)
    return extentAt(extentOf(picture(base), of, DEFAULT_BREAKPOINTS, index), DEFAULT_BREAKPOINTS[index]!, viewport)
  }
  const side = (viewport: number) => (viewport - contentWidth(wide, viewport)) / 2

  test('is as much wider as there is beside the columns', () => {
    for (const viewport of [1040, 1280, 1920]) {
      expect(at({ reach: 'full', span: 4 }, viewport)).toBeCloseTo(viewport)
      expect(at({ reach: 'right', span: 5 }, viewport)).toBeCloseTo(spanWidth(wide, viewport, 5) + side(viewport))
      expect(at({ reach: 'narrow' }, viewport)).toBeCloseTo(spanWidth(wide, viewport, 8))
    }
    expect(at({ reach: 'full' }, 375)).toBeCloseTo(375)
  })

  test('has nothing to go past in a section of full width, nor in a group', () => {
    const full = surroundOf({ ...newSection('opening', makeId), style: { base: { reach: 'full' } } }, page, DEFAULT_BREAKPOINTS)
    expect(at({ reach: 'left', span: 12 }, 1280, full)).toBeCloseTo(1280)
    expect(at({ reach: 'full' }, 1280, inside(group({ layout: 'grid' })))).toBeCloseTo(contentWidth(wide, 1280))
  })
})
