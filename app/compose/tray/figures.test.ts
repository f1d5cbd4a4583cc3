import { beforeEach, describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { DEFAULT_BREAKPOINTS } from '#core/site/defaults'
import { findBlock, walkPage } from '#core/site/tree'
import { type SessionStore, createSessionStore, edit } from '../../session/store'
import { placeInWords, spanText, viewportOf } from './figures'
import { rangeOf } from '#core/style/cascade'
import { valueInWords } from '../../fields/value-in-words'

const site = demoSite()
const page = site.pages[0]!
const blocks = [...walkPage(page)]
const heading = blocks.find((block) => block.kind === 'heading')!
const backdrop = blocks.find((block) => block.kind === 'picture')!
const reason = blocks.find((block) => block.name === 'Reason')!

let store: SessionStore
beforeEach(() => {
  store = createSessionStore('site', page.id, site, 0)
})
const wordsFor = (id: string, range: number) => placeInWords(store.getState(), findBlock(store.getState().session.site, id)!, range)

describe('what the place of a block comes to, in words', () => {
  test('columns and px, and where it takes the full row', () => {
    expect(wordsFor(heading.id, 0)).toBe('Fills 8 of 12 columns, 739 px at 1280. Below 1024 it takes the full row.')
    expect(wordsFor(heading.id, 1)).toBe('Takes the full row, 704 px at 768.')
    expect(wordsFor(reason.id, 0)).toBe('Fills 4 of 12 columns, 357 px at 1280. Below 640 it takes the full row.')
  })

  test('a block behind all, and one in a column', () => {
    expect(wordsFor(backdrop.id, 0)).toBe('Lies behind all of section.')
    const inReason = 'children' in reason ? reason.children[1]! : reason
    expect(wordsFor(inReason.id, 0)).toBe('Stands in a column of at most 357 px.')
    // Where a view shows it, what is measured there is said.
    expect(placeInWords(store.getState(), findBlock(site, inReason.id)!, 0, 299.6)).toBe('Stands in a column of 300 px.')
  })

  test('a section has the columns of the page', () => {
    expect(wordsFor(page.sections[1]!.id, 0)).toBe('12 columns in 1120 px.')
    expect(wordsFor(page.sections[1]!.id, 2)).toBe('4 columns in 335 px.')
  })

  test('follows an edit', () => {
    edit(store, { kind: 'style', block: heading.id, scope: { below: 'middle' }, values: { span: 6 } })
    expect(wordsFor(heading.id, 1)).toBe('Fills 6 of 8 columns, 522 px at 768. Below 640 it takes the full row.')
  })
})

test('figures of a range are given at the widest view in it, or at its upper end', () => {
  expect([0, 1, 2].map((range) => viewportOf(store.getState(), range))).toEqual([1280, 768, 375])
  edit(store, { kind: 'site', field: 'views', value: [1280] })
  expect([0, 1, 2].map((range) => viewportOf(store.getState(), range))).toEqual([1280, 1023, 639])
})

test('the running order shows the columns of blocks that take fewer than all', () => {
  expect(spanText(store.getState(), heading)).toBe('8 col')
  expect(
    spanText(
      store.getState(),
      blocks.find((block) => block.kind === 'eyebrow')!,
    ),
  ).toBe('')
})

test('a scope is about one range of widths, hover about the widest', () => {
  expect(rangeOf(DEFAULT_BREAKPOINTS, 'base')).toBe(0)
  expect(rangeOf(DEFAULT_BREAKPOINTS, 'hover')).toBe(0)
  expect(rangeOf(DEFAULT_BREAKPOINTS, { below: 'narrow' })).toBe(2)
  expect(rangeOf(DEFAULT_BREAKPOINTS, { below: 'gone' })).toBe(0)
})

test.each([
  [undefined, 'not set'],
  [true, 'yes'],
  [0.5, '0.5'],
  ['center', 'center'],
  [{ value: 24, unit: 'px' }, '24 px'],
  [{ token: 'space-4' }, 'space-4'],
  [{ role: 'ink' }, 'ink'],
  [{ hex: '#1A1D47' }, '#1A1D47'],
  [{ x: 20, y: 80 }, '20 %, 80 %'],
  [{ width: 4, height: 3 }, '4 : 3'],
  [{ fluid: { from: { at: 375, px: 30 }, to: { at: 1360, px: 60 } } }, '30 to 60 px'],
])('the value %o is said as “%s”', (value, words) => {
  expect(valueInWords(value)).toBe(words)
})
