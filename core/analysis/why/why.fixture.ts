import { newBlock, newSection } from '#core/blocks/defaults'
import type { Block, BlockKind } from '#core/blocks/index'
import { newSite } from '#core/site/defaults'
import type { Site } from '#core/site/schema'
import type { PropertyName, StyleValues } from '#core/style/registry'
import { type Length, pixels } from '#core/values/length'
import { testIds } from '#core/values/ids.fixture'

/** A block in a group, with what stands around it. */
export type Scene = {
  block?: StyleValues
  group?: StyleValues
  /** Styles of texts before and after it in the group. */
  before?: StyleValues[]
  after?: StyleValues[]
  kind?: BlockKind
  /** More of the block than its style. */
  more?: object
  /** Blocks inside it, where it is a group: their styles. */
  inside?: StyleValues[]
  /** True where the block and those beside it stand in the section itself. */
  direct?: boolean
  /** True where the group stands in a column, which stands in the section. */
  deep?: boolean
}

const SAID = 'Two hours under one of the darkest skies in the county, with volunteers who love being asked why.'

/** A site with one page that shows a scene, and the ids of its block and of its group. */
export function siteOfScene(scene: Scene): { site: Site; block: string; group: string } {
  const makeId = testIds()
  const site = newSite('Test', makeId)
  const text = (base: StyleValues): Block => ({ ...newBlock('text', makeId), style: { base }, words: { en: [SAID] } })
  const kind = scene.kind ?? 'text'
  const words =
    kind === 'text' || kind === 'heading' || kind === 'button' ? { words: { en: [kind === 'text' ? SAID : 'Book'] } } : {}
  const picture = {
    id: makeId(),
    hash: 'a'.repeat(64),
    name: 'a.png',
    type: 'image/png' as const,
    width: 300,
    height: 200,
    bytes: 100,
  }
  const shown = kind === 'picture' ? { picture: picture.id } : {}
  const inside = kind === 'group' ? { children: (scene.inside ?? []).map(text) } : {}
  const block = {
    ...newBlock(kind, makeId),
    style: { base: scene.block ?? {} },
    ...words,
    ...shown,
    ...inside,
    ...scene.more,
  } as Block
  const children = [...(scene.before ?? []).map(text), block, ...(scene.after ?? []).map(text)]
  const group: Block = { ...newBlock('group', makeId), style: { base: scene.group ?? {} }, children }
  const outer: Block = scene.deep ? { ...newBlock('group', makeId), style: {}, children: [group, text({})] } : group
  const air = { ...newSection('story', makeId), style: { base: { paddingTop: pixels(1600) } }, children: [] }
  const section = { ...newSection('opening', makeId), children: scene.direct ? children : [outer] }
  return {
    site: { ...site, pictures: [picture as never], pages: [{ ...site.pages[0]!, sections: [section, air] }] },
    block: block.id,
    group: group.id,
  }
}

const px = (value: number): Length => pixels(value)
const percent = (value: number): Length => ({ value, unit: '%' })
const row = { layout: 'row' } as const
const grid = { layout: 'grid' } as const
const overlay = { layout: 'overlay' } as const
const tall = { minHeight: px(500) }

/** A setting in a scene: of the block, or of the group around it. */
export type Case = { scene: Scene; of?: 'group'; property: PropertyName }
const of = (property: PropertyName, scene: Scene): Case => ({ scene, property })
const ofGroup = (property: PropertyName, scene: Scene): Case => ({ scene, property, of: 'group' })

/** Settings that change nothing, and the same ones where they do. */
export const CASES: Case[] = [
  of('span', { block: { span: 4 } }),
  of('span', { block: { span: 4 }, group: overlay }),
  of('span', { block: { span: 4 }, group: row }),
  of('span', { block: { span: 4 }, group: grid }),
  of('span', { block: { span: 16 }, group: grid }),
  of('span', { block: { span: 4, position: 'backdrop' }, group: { ...grid, ...tall } }),
  of('span', { block: { span: 4 }, group: { ...grid, itemWidth: px(200) } }),
  of('start', { block: { start: 3 } }),
  of('start', { block: { span: 4, start: 3 }, group: grid }),
  of('start', { block: { start: 3 }, group: grid }),
  of('start', { block: { span: 8, start: 9 }, group: grid }),
  of('reach', { block: { reach: 'full' } }),
  of('reach', { block: { reach: 'full', fill: { role: 'accent' } }, direct: true }),
  of('reach', { block: { reach: 'right', span: 4, fill: { role: 'accent' } }, direct: true }),
  of('reach', { kind: 'picture', block: { reach: 'left', span: 4 }, direct: true }),
  of('reach', { block: { reach: 'narrow' }, direct: true }),
  of('reach', { block: { reach: 'container' }, direct: true }),
  of('reach', { block: { reach: 'container', span: 4 }, direct: true }),
  of('reach', { kind: 'picture', block: { reach: 'full', position: 'backdrop' }, direct: true, after: [{}] }),
  of('reach', { block: { reach: 'full', position: 'held', top: px(4) }, direct: true, after: [{}] }),
  of('span', { block: { reach: 'narrow', span: 4 }, direct: true }),
  of('span', { block: { reach: 'full', span: 4 }, direct: true }),
  of('span', { block: { reach: 'right', span: 4 }, direct: true }),
  of('start', { block: { reach: 'right', span: 4, start: 2 }, direct: true }),
  of('start', { block: { reach: 'full', start: 2 }, direct: true }),
  ofGroup('tracks', { group: { tracks: 3 }, after: [{}] }),
  ofGroup('tracks', { group: { ...grid, tracks: 3 }, block: { span: 1 }, after: [{ span: 1 }] }),
  ofGroup('tracks', { group: { ...grid, tracks: 3, itemWidth: px(200) }, after: [{}] }),
  ofGroup('rowSizes', { group: { rowSizes: [{ value: 200, unit: 'px' }] }, after: [{}] }),
  ofGroup('rowSizes', { group: { ...grid, rowSizes: [{ value: 200, unit: 'px' }] }, after: [{}] }),
  of('rowSpan', { block: { rowSpan: 2 } }),
  of('rowSpan', { block: { span: 1, rowSpan: 2 }, group: { ...grid, tracks: 2 }, after: [{ span: 1 }, { span: 1 }] }),
  of('rowStart', { block: { rowStart: 2 }, group: row, after: [{}] }),
  of('rowStart', { block: { rowStart: 2 }, group: grid, after: [{}] }),
  ofGroup('itemWidth', { group: { itemWidth: px(200) }, after: [{}] }),
  ofGroup('itemWidth', { group: { ...row, itemWidth: px(200) }, after: [{}] }),
  ofGroup('itemWidth', { group: { ...row, scrolls: true, itemWidth: px(200) }, after: [{}] }),
  ofGroup('itemWidth', { group: { ...grid, itemWidth: px(200) }, after: [{}] }),
  ofGroup('wrap', { group: { wrap: true }, after: [{}] }),
  ofGroup('wrap', { group: { ...row, wrap: true }, block: { width: px(700) }, after: [{ width: px(700) }] }),
  ofGroup('scrolls', { group: { scrolls: true }, after: [{}] }),
  ofGroup('scrolls', { group: { ...row, scrolls: true }, after: [{}] }),
  ofGroup('gap', { group: { gap: px(40) }, after: [{}] }),
  ofGroup('gap', { group: { ...overlay, gap: px(40) }, after: [{}] }),
  ofGroup('gap', { group: { ...row, gap: px(40) } }),
  ofGroup('gap', { group: { ...row, gap: px(40) }, after: [{}] }),
  ofGroup('rowGap', { group: { rowGap: px(40) }, after: [{}] }),
  ofGroup('rowGap', { group: { rowGap: px(40) } }),
  ofGroup('rowGap', { group: { ...overlay, rowGap: px(40) }, after: [{}] }),
  ofGroup('rowGap', { group: { ...row, rowGap: px(40) }, after: [{}] }),
  ofGroup('rowGap', { group: { ...row, wrap: true, rowGap: px(40) }, block: { width: px(700) }, after: [{ width: px(700) }] }),
  ofGroup('justify', { group: { ...row, justify: 'end' }, block: { width: px(200) } }),
  ofGroup('justify', { group: { ...row, justify: 'end' }, block: { width: px(200) }, after: [{ grow: true }] }),
  of('justify', { kind: 'group', block: { ...row, justify: 'end' } }),
  of('align', { kind: 'group', block: { align: 'end' } }),
  of('align', { kind: 'group', block: { align: 'end' }, inside: [{}] }),
  of('align', { kind: 'group', block: { align: 'end', ...tall }, inside: [{}] }),
  of('selfJustify', { block: { selfJustify: 'end', width: px(300) }, group: row, after: [{}] }),
  of('selfJustify', { block: { selfJustify: 'end', width: px(300) } }),
  of('selfJustify', { block: { selfJustify: 'end', width: percent(100) } }),
  of('selfJustify', { kind: 'picture', block: { selfJustify: 'center' } }),
  of('selfJustify', { kind: 'picture', block: { selfJustify: 'center' }, group: grid }),
  of('selfJustify', { kind: 'picture', block: { selfJustify: 'center', maxWidth: px(200) } }),
  of('selfAlign', { block: { selfAlign: 'end' }, group: tall, after: [{}] }),
  of('selfAlign', { block: { selfAlign: 'end' }, group: { ...row, ...tall }, after: [{}] }),
  of('grow', { block: { grow: true }, group: grid, after: [{}] }),
  of('grow', { block: { grow: true }, group: overlay }),
  of('grow', { block: { grow: true }, group: row, after: [{ width: px(100) }] }),
  of('grow', { block: { grow: true, fill: { role: 'accent' } }, group: tall, after: [{}] }),
  of('grow', { block: { grow: true, fill: { role: 'accent' } }, deep: true, after: [{}] }),
  of('width', { block: { width: px(300), grow: true }, group: row, after: [{ width: px(100) }] }),
  of('width', { block: { width: px(300) }, group: row, after: [{ width: px(100) }] }),
  of('maxWidth', { block: { width: px(300), maxWidth: px(500) } }),
  of('maxWidth', { block: { width: px(300), maxWidth: px(200) } }),
  of('minHeight', { block: { height: px(300), minHeight: px(200) }, after: [{}] }),
  of('minHeight', { block: { height: px(300), minHeight: px(400) }, after: [{}] }),
  of('height', { block: { height: percent(50), fill: { role: 'accent' } }, deep: true, after: [{}] }),
  of('height', { block: { height: percent(50), fill: { role: 'accent' } }, group: { height: px(600) }, deep: true, after: [{}] }),
  of('minHeight', { block: { minHeight: percent(50), fill: { role: 'accent' } }, deep: true, after: [{}] }),
  of('aspect', { kind: 'picture', block: { aspect: { width: 1, height: 1 }, width: px(300), height: px(100) } }),
  of('aspect', { kind: 'picture', block: { aspect: { width: 1, height: 1 }, width: px(300) } }),
  of('top', { block: { top: px(40) } }),
  of('top', { block: { top: px(40), position: 'held' }, group: tall }),
  of('left', { block: { left: px(40), position: 'sticky' }, group: tall, after: [{}] }),
  of('left', { block: { left: px(40), position: 'held' }, group: tall }),
  of('right', { block: { left: px(40), right: px(10), width: px(200), position: 'held' }, group: tall }),
  of('right', { block: { left: px(40), right: px(10), position: 'held' }, group: tall }),
  of('selfJustify', { block: { position: 'held', selfJustify: 'center', top: px(40) }, group: tall }),
  of('selfJustify', { block: { position: 'held', selfJustify: 'end', left: px(40), top: px(40), width: px(200) }, group: tall }),
  of('selfAlign', { block: { position: 'held', selfAlign: 'center', width: px(200) }, group: tall }),
  of('selfAlign', { block: { position: 'held', selfAlign: 'start', bottom: px(40), width: px(200) }, group: tall }),
  of('bottom', {
    block: { top: px(40), bottom: px(10), height: px(200), position: 'held', fill: { role: 'accent' } },
    group: tall,
  }),
  of('bottom', { block: { top: px(40), bottom: px(10), position: 'held', fill: { role: 'accent' } }, group: tall }),
  of('position', { block: { position: 'sticky', span: 4 }, group: { ...grid, minHeight: px(900) } }),
  of('position', { block: { position: 'sticky', span: 4, selfAlign: 'start' }, group: { ...grid, minHeight: px(900) } }),
  of('position', { block: { position: 'sticky', span: 12 }, group: grid, after: [{ minHeight: px(900) }] }),
  of('position', { block: { position: 'sticky', span: 6 }, group: grid, after: [{ span: 6 }, { span: 6, minHeight: px(900) }] }),
  of('position', {
    block: { position: 'sticky', span: 6 },
    group: grid,
    before: [{ minHeight: px(900), span: 12 }],
    after: [{ span: 6 }],
  }),
  of('position', { block: { position: 'sticky', width: px(300) }, group: { ...row, minHeight: px(900) }, after: [{}] }),
  of('position', {
    block: { position: 'sticky', width: px(300), selfAlign: 'start' },
    group: { ...row, minHeight: px(900) },
    after: [{}],
  }),
  of('position', { block: { position: 'sticky' }, deep: true, before: [{}] }),
  of('position', { block: { position: 'sticky' }, deep: true, group: { minHeight: px(900) }, before: [{}] }),
  of('order', { block: { order: 1 } }),
  of('order', { block: { order: 1 }, after: [{ size: px(30) }] }),
  of('spaceAfter', { block: { spaceAfter: px(40), position: 'held', top: px(10) }, group: tall }),
  of('spaceAfter', { block: { spaceAfter: px(40), position: 'held', bottom: px(10) }, group: tall }),
  of('spaceBefore', { block: { spaceBefore: px(40), position: 'held', bottom: px(10) }, group: tall }),
  of('spaceBefore', { block: { spaceBefore: px(40), position: 'held', top: px(10) }, group: tall }),
  of('edgeColour', { block: { edgeColour: { role: 'accent' } } }),
  of('edgeColour', { block: { edgeColour: { role: 'accent' }, edgeWidth: 4 } }),
  of('edgeSides', { block: { edgeSides: 'top' } }),
  of('edgeSides', { block: { edgeSides: 'top', edgeWidth: 4 } }),
  of('corner', { block: { corner: px(20), corners: [4, 0, 0, 0], fill: { role: 'accent' } } }),
  of('corner', { block: { corner: px(20) } }),
  of('corner', { block: { corner: px(20), fill: { role: 'accent' } } }),
  of('corner', { kind: 'group', block: { corner: px(20), shadow: { token: 'shadow-2' } }, inside: [{}] }),
  of('fit', { kind: 'picture', block: { fit: 'contain', width: px(300) } }),
  of('fit', { kind: 'picture', block: { fit: 'contain', width: px(300), height: px(100) } }),
  of('focal', { kind: 'picture', block: { focal: { x: 0, y: 0 }, width: px(300) } }),
  of('focal', { kind: 'picture', block: { focal: { x: 0, y: 0 }, width: px(300), aspect: { width: 3, height: 1 } } }),
]
