import { describe, expect, test } from 'vitest'
import type { Block } from '#core/blocks/index'
import { group, section, siteOf, worded } from '#core/site/made.fixture'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { unsettledIn } from './flows'

const text = (id: string, values: StyleValues = {}) => worded('text', id, 'Dusk', values)
const unsettled = (...children: Block[]) => {
  const one = section('one', children)
  return [...unsettledIn(one, siteOf('Observatory', [one]))].sort()
}

describe('a section in which it matters where lines stand', () => {
  test('is none where all is below or beside what is before it', () => {
    expect(unsettled(text('a'), group('g', [text('b'), text('c')], { layout: 'grid' }))).toEqual([])
    expect(unsettled(text('a', { position: 'backdrop' }))).toEqual([])
  })

  test('is all of one that has something outside the flow, over others, or of a height of its own', () => {
    for (const values of [
      { position: 'held' },
      { position: 'sticky' },
      { height: pixels(40) },
      { layer: 'top' },
      { rowStart: 1 },
    ] satisfies StyleValues[])
      expect(unsettled(text('a', values), text('b')), JSON.stringify(values)).toEqual(['a', 'b', 'one'])
    expect(unsettled(group('g', [text('a')], { layout: 'overlay' }))).toEqual(['a', 'g', 'one'])
  })

  test('is what is pulled over others, and those', () => {
    const pulled = (values: StyleValues) =>
      unsettled(text('x'), group('g', [text('a'), text('b', values), group('h', [text('c')])]))
    expect(pulled({ spaceBefore: pixels(-8) })).toEqual(['a', 'b'])
    expect(pulled({ spaceAfter: pixels(-8) })).toEqual(['b', 'c', 'h'])
    expect(pulled({ spaceStart: pixels(-8) })).toEqual(['a', 'b', 'c', 'h'])
    const below = { fluid: { from: { at: 300, px: -4 }, to: { at: 900, px: 4 } } }
    expect(pulled({ spaceBefore: below })).toEqual(['a', 'b'])
  })

  test('is one of which an exception at a breakpoint says so', () => {
    const one = section('one', [text('a')])
    const site = siteOf('Observatory', [one])
    const below = { [site.breakpoints.at(-1)!.id]: { height: pixels(30) } }
    const other = { ...one, children: [{ ...one.children[0]!, style: { below } } as Block] }
    expect([...unsettledIn(other, site)].sort()).toEqual(['a', 'one'])
  })
})
