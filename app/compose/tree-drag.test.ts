import { expect, test } from 'vitest'
import { newBlock, newSection } from '#core/blocks/defaults'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import { testIds } from '#core/values/ids.fixture'
import { treeDrop } from './tree-drag'

const makeId = testIds()
const text = { ...newBlock('text', makeId), id: 'text' }
const inner = { ...newBlock('group', makeId), id: 'inner', children: [{ ...newBlock('heading', makeId), id: 'heading' }] }
const outer = { ...newBlock('group', makeId), id: 'outer', children: [inner, text] }
const section = { ...newSection('story', makeId), id: 'section', children: [outer] }
const start = newSite('Test', makeId)
const site: Site = { ...start, pages: [{ ...start.pages[0]!, sections: [section] }] }
const moved = (id: string) => [findBlock(site, id)!]

test.each([
  ['text', { at: 'inner', where: 'before' }, { parent: 'outer', index: 0 }],
  ['text', { at: 'inner', where: 'into' }, { parent: 'inner', index: 1 }],
  ['inner', { at: 'text', where: 'after' }, { parent: 'outer', index: 1 }],
  ['heading', { at: 'outer', where: 'after' }, { parent: 'section', index: 1 }],
  ['outer', { at: 'heading', where: 'after' }, undefined],
  ['outer', { at: 'outer', where: 'into' }, undefined],
  ['text', { at: 'gone', where: 'after' }, undefined],
] as const)('%s dropped %j goes to %j', (id, drop, place) => {
  expect(treeDrop(site, moved(id), drop)).toEqual(place)
})
