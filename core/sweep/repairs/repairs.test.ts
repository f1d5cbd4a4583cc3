import { describe, expect, test } from 'vitest'
import { applyEdit } from '#core/edits/index'
import { pixels } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'
import type { WidthFinding } from '../find'
import { block, siteWith } from '../scene.fixture'
import { asksForWords, candidatesFor } from './index'

const row = block(
  'group',
  'row',
  { layout: 'row', span: 6, start: 1 },
  {
    children: [block('heading', 'title', { width: pixels(500) }), block('button', 'call')],
  },
)
const cards = block(
  'group',
  'cards',
  { layout: 'grid', tracks: 4 },
  { children: ['a', 'b', 'c', 'd'].map((id) => block('text', id)) },
)
const site = siteWith([block('section', 'band', {}, { children: [row, cards] })])
const finding = (
  kind: WidthFinding['kind'],
  id: string,
  from: number,
  to: number,
  more: Partial<WidthFinding> = {},
): WidthFinding => ({
  kind,
  fault: true,
  block: id,
  sentence: '',
  ranges: [{ from, to }],
  worst: from,
  ...more,
})
const labels = (one: WidthFinding) => candidatesFor(one, site, testIds()).map(({ label }) => label)

describe('what might mend a finding', () => {
  test('of a block that is too wide: its own width, the row, fewer columns, stacking, all columns', () => {
    expect(labels(finding('pastHolder', 'title', 640, 800))).toEqual([
      'As wide as there is room',
      'Let the row wrap below 1024',
      'Let the row wrap below 801',
      'Stack below 1024',
      'Stack below 801',
      'All columns below 1024',
      'All columns below 801',
    ])
  })

  test('of words: a size that grows over the very widths, where there is one that can still be read', () => {
    const set = { size: 48, fits: 38.4 }
    const [first] = candidatesFor(finding('brokenWord', 'title', 640, 720, { set }), site, testIds())
    expect(first).toEqual({
      label: '38 to 48 px below 1024',
      edit: {
        kind: 'style',
        block: 'title',
        scope: { below: site.breakpoints[1]!.id },
        values: { size: { fluid: { from: { at: 640, px: 38 }, to: { at: 721, px: 48 } } } },
      },
    })
    expect(labels(finding('headingLines', 'title', 640, 720, { set: { size: 13, fits: 8 } }))[0]).not.toContain('13 px')
  })

  test('of columns: numbers that come out even, and a least width of items', () => {
    expect(labels(finding('rowOfOne', 'cards', 640, 800)).filter((one) => !one.endsWith('801'))).toEqual([
      'Two across below 1024',
      'One under the other below 1024',
      'Items at least 200 px',
      'Items at least 260 px',
      'Items at least 320 px',
    ])
  })

  test('of a gap: the spaces about it as those of the others', () => {
    const spaced = block(
      'section',
      'band',
      {},
      {
        children: [
          block('text', 'a', { spaceAfter: pixels(20) }),
          block('text', 'b', { spaceBefore: pixels(5) }),
          block('text', 'c', { spaceAfter: pixels(25) }),
        ],
      },
    )
    const [above, before] = candidatesFor(finding('unequalGaps', 'b', 280, 2560), siteWith([spaced]), testIds())
    expect(above!.edit).toMatchObject({ block: 'b', values: { spaceBefore: null } })
    expect(before!.edit).toMatchObject({ block: 'a', values: { spaceAfter: pixels(25) } })
  })

  test('of a block that is alone in its row: more columns as well as fewer', () => {
    const three = block('group', 'three', { layout: 'grid', tracks: 3 }, { children: cards.children })
    const found = candidatesFor(
      finding('rowOfOne', 'three', 1200, 2560),
      siteWith([block('section', 'band', {}, { children: [three] })]),
      testIds(),
    )
    expect(found.slice(0, 3).map(({ label }) => label)).toEqual(['Four across', 'Two across', 'One under the other'])
  })

  test('of a table: to scroll, or to stack its rows', () => {
    const table = siteWith([block('section', 'band', {}, { children: [block('table', 'prices')] })])
    const found = candidatesFor(finding('pastWindow', 'prices', 280, 500), table, testIds())
    expect(found.slice(0, 2).map(({ label }) => label)).toEqual([
      'Let the table scroll below 640',
      'Let the table scroll below 501',
    ])
  })

  test('of an order: every block whose place says otherwise', () => {
    const mixed = [block('text', 'a', { order: 2 }), block('text', 'b'), block('text', 'c', { order: 1 })]
    const ordered = siteWith([block('section', 'band', {}, { children: mixed })])
    const [all] = candidatesFor(finding('readingOrder', 'b', 280, 2560), ordered, testIds())
    expect(all!.label).toBe('All in the order of the document')
    const { sections } = applyEdit(ordered, all!.edit).site.pages[0]!
    expect(sections[0]!.children.map((one) => one.style.base?.order)).toEqual([undefined, undefined, undefined])
  })

  test('of what is too small to press: all like it at once', () => {
    const links = ['a', 'b', 'c'].map((id) => block('link', id))
    const nav = siteWith([
      block('section', 'band', {}, { children: [block('nav', 'nav', { layout: 'row' }, { children: links })] }),
    ])
    const [all] = candidatesFor(finding('smallTarget', 'a', 280, 2560), nav, testIds())
    expect(all).toMatchObject({ label: 'All like it 24 px high', edit: { kind: 'batch', edits: { length: 3 } } })
  })

  test('each can be made, and is taken back', () => {
    for (const kind of [
      'pastWindow',
      'brokenWord',
      'secondLine',
      'overEachOther',
      'smallTarget',
      'readingOrder',
      'highSticky',
    ] as const)
      for (const { edit } of candidatesFor(finding(kind, 'call', 300, 700), site, testIds())) {
        const { site: next, inverse } = applyEdit(site, edit)
        expect(applyEdit(next, inverse).site).toEqual(site)
      }
  })

  test('of a breakpoint at which nothing changes is to take it away; of a jump there is nothing', () => {
    const { block: _, ...idle } = finding('idleBreakpoint', '', 639, 640, { worst: 640 })
    const [{ edit }] = candidatesFor(idle, site, testIds()) as unknown as [{ edit: { value: unknown[] } }]
    expect(edit.value).toHaveLength(site.breakpoints.length - 1)
    expect(labels(finding('jump', 'band', 639, 640))).toEqual([])
    expect(labels(finding('pastWindow', 'gone', 300, 400))).toEqual([])
  })

  test('words that only a person can shorten are said to be so', () => {
    expect([asksForWords({ kind: 'brokenWord' }), asksForWords({ kind: 'pastWindow' })]).toEqual([true, false])
  })
})
