import { describe, expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { BLOCK_KINDS, mayHold } from '#core/blocks/index'
import { applyEdit } from '#core/edits/index'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { findBlock } from '#core/site/tree'
import { settingsWithoutEffect } from './without-effect'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'

const makeId = testIds()

/** A text in a group in a section, each with a style. */
function scene(text: StyleValues, group: StyleValues = {}) {
  const inner = { ...newBlock('text', makeId), style: { base: text } }
  const outer = { ...newBlock('group', makeId), style: { base: group }, children: [inner, newBlock('text', makeId)] }
  const site = newSite('Test', makeId)
  const section = { ...newSection('opening', makeId), children: [outer] }
  return {
    site: { ...site, pages: [{ ...site.pages[0]!, sections: [section] }] },
    id: inner.id,
    group: outer.id,
  }
}

describe('a setting that has no effect says why, and its repair makes it work', () => {
  test.each<[string, StyleValues, StyleValues, RegExp]>([
    ['columns in a column', { span: 4 }, {}, /this block stands in a column/],
    ['columns in an overlay', { span: 4 }, { layout: 'overlay' }, /this block stands in an overlay/],
    ['distances in the flow', { top: pixels(8) }, {}, /this one is in the flow/],
    ['height place in a column', { selfAlign: 'end' }, {}, /nothing to stand in/],
    ['width place in a row', { selfJustify: 'end' }, { layout: 'row' }, /shares out the width/],
    ['the rest in a grid', { grow: true }, { layout: 'grid' }, /take the rest/],
    ['an edge colour without an edge', { edgeColour: { role: 'ink' } }, {}, /no width/],
    ['corners of nothing that is seen', { corner: pixels(12) }, {}, /its corners are not seen/],
    ['one corner of the same', { corners: [12, 0, 0, 0] }, {}, /its corners are not seen/],
    ['sticky as tall as its row', { position: 'sticky' }, { layout: 'row' }, /no room to stick/],
  ])('%s', (_, text, group, why) => {
    const { site, id } = scene(text, group)
    const [found] = settingsWithoutEffect(site, findBlock(site, id)!, 0)
    expect(found?.sentence).toMatch(why)
    const repaired = applyEdit(site, found!.repair.edit).site
    expect(settingsWithoutEffect(repaired, findBlock(repaired, id)!, 0).map((one) => one.property)).not.toContain(found!.property)
  })

  test.each<[string, StyleValues, RegExp]>([
    ['own columns of a column', { tracks: 3 }, /this is a column/],
    ['wrapping of a column', { wrap: true }, /Only a row wraps/],
    ['a gap across in a column', { gap: pixels(8) }, /none across/],
  ])('%s', (_, group, why) => {
    const { site, group: id } = scene({}, group)
    const [found] = settingsWithoutEffect(site, findBlock(site, id)!, 0)
    expect(found?.sentence).toMatch(why)
    const repaired = applyEdit(site, found!.repair.edit).site
    expect(settingsWithoutEffect(repaired, findBlock(repaired, id)!, 0)).toEqual([])
  })

  test('nothing is said of what a new block is given, whatever kind it is', () => {
    const site = newSite('Test', makeId)
    const children = BLOCK_KINDS.filter((kind) => mayHold('section', kind)).map((kind) => newBlock(kind, makeId))
    const filled = { ...site, pages: [{ ...site.pages[0]!, sections: [{ ...newSection('opening', makeId), children }] }] }
    for (const { id, kind } of children)
      expect([kind, settingsWithoutEffect(filled, findBlock(filled, id)!, 0).map((one) => one.property)]).toEqual([kind, []])
  })

  test('corners are not named where something in a state, or what is cut at them, shows them', () => {
    const { site, id } = scene({ corner: pixels(12) })
    const place = findBlock(site, id)!
    const shown = {
      ...place,
      block: { ...place.block, style: { ...place.block.style, hover: { fill: { role: 'ink' } } } },
    } as typeof place
    expect(settingsWithoutEffect(site, shown, 0)).toEqual([])
  })

  test('nothing is said of settings that work', () => {
    const { site, id } = scene({ span: 4, position: 'sticky', top: pixels(0), selfAlign: 'start' }, { layout: 'grid' })
    expect(settingsWithoutEffect(site, findBlock(site, id)!, 0)).toEqual([])
  })

  test('a sticky block has room to stick where its grid has a row under its own', () => {
    const inOne = scene({ position: 'sticky', span: 1 }, { layout: 'grid', itemWidth: pixels(200) })
    const inOwn = scene({ position: 'sticky' }, { layout: 'grid' })
    for (const { site, id } of [inOne, inOwn])
      expect(settingsWithoutEffect(site, findBlock(site, id)!, 0).filter((one) => one.property === 'position')).toEqual([])
  })

  test('at a narrower range only what is set there is named, and mended there alone', () => {
    const { site, id } = scene({ span: 4 }, {})
    const narrow = site.breakpoints[1]!.id
    expect(settingsWithoutEffect(site, findBlock(site, id)!, 1)).toEqual([])
    const set = applyEdit(site, { kind: 'style', block: id, scope: { below: narrow }, values: { start: 2 } }).site
    const [found] = settingsWithoutEffect(set, findBlock(set, id)!, 1)
    expect(found).toMatchObject({ property: 'start', repair: { edit: { scope: { below: narrow }, values: { start: null } } } })
    const mended = applyEdit(set, found!.repair.edit).site
    expect(findBlock(mended, id)!.block.style).toEqual({ base: { span: 4 } })
  })
})
