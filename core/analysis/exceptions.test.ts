import { expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import { batchOf } from '#core/edits/batch'
import { demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { findBlock } from '#core/site/tree'
import type { Style } from '#core/style/registry'
import { idMaker } from '#core/values/ids'
import { seededRandom } from '#core/values/ids.fixture'
import { clearEdits, copyEdits, exceptionRows, makeBaseEdits, sameAsBaseEdits } from './exceptions'

const demo = demoSite()
const [, middle, narrow] = demo.breakpoints.map((one) => one.id) as [string, string, string]

function scene(style: Style) {
  const text = { ...newBlock('text', idMaker(seededRandom(5))), style }
  const [first, ...rest] = demo.pages
  const section = first!.sections[1]!
  const site: Site = { ...demo, pages: [{ ...first!, sections: [{ ...section, children: [text] }] }, ...rest] }
  return {
    site,
    text,
    section: site.pages[0]!.sections[0]!,
    rows: exceptionRows(site, site.pages[0]!.sections[0]!).filter((one) => one.block.id === text.id),
  }
}
const styleAfter = (site: Site, id: string, edits: Edit[]) => findBlock(applyEdit(site, batchOf('x', edits)).site, id)!.block.style

test('a row for each property that differs somewhere, with what is set and what holds', () => {
  const { rows } = scene({ base: { span: 8, order: 1 }, below: { [middle]: { span: 6 }, [narrow]: { opacity: 0.5 } } })
  expect(rows.map((one) => [one.property, one.cells.map((cell) => [cell.own, cell.holds])])).toEqual([
    [
      'span',
      [
        [8, 8],
        [6, 6],
        [undefined, 6],
      ],
    ],
    [
      'opacity',
      [
        [undefined, undefined],
        [undefined, undefined],
        [0.5, 0.5],
      ],
    ],
  ])
})

test('exceptions are cleared, copied, and made the same as the base', () => {
  const style = { base: { span: 8 }, below: { [middle]: { span: 6 }, [narrow]: { span: 4 } } }
  const { site, text, rows } = scene(style)
  expect(styleAfter(site, text.id, clearEdits(rows, 2))).toEqual({ base: { span: 8 }, below: { [middle]: { span: 6 } } })
  expect(styleAfter(site, text.id, copyEdits(rows, 1, 2)).below![narrow]).toEqual({ span: 6 })
  expect(styleAfter(site, text.id, sameAsBaseEdits(rows, 2)).below![narrow]).toEqual({ span: 8 })
  // Next to the base nothing needs to be written.
  expect(styleAfter(site, text.id, sameAsBaseEdits(rows, 1)).below).toEqual({ [narrow]: { span: 4 } })
})

test('what holds at a range is made the base, and what says no more than that goes', () => {
  const { site, text, rows } = scene({ base: { span: 8 }, below: { [middle]: { span: 6 }, [narrow]: { span: 4 } } })
  expect(styleAfter(site, text.id, makeBaseEdits(rows, 1))).toEqual({ base: { span: 6 }, below: { [narrow]: { span: 4 } } })
  // Between them it stays as it was.
  expect(styleAfter(site, text.id, makeBaseEdits(rows, 2))).toEqual({
    base: { span: 4 },
    below: { [middle]: { span: 6 }, [narrow]: { span: 4 } },
  })
})

test('another picture below a breakpoint is a row, and is cleared, copied and made the base as a property is', () => {
  const picture = { ...newBlock('picture', idMaker(seededRandom(6))) } as Block
  const [first, ...rest] = demo.pages
  const [a, b] = [demo.pictures[0]!.id, demo.pictures[1]!.id]
  Object.assign(picture, { picture: a, instead: { [narrow]: b } })
  const section = { ...first!.sections[1]!, children: [picture] }
  const site: Site = { ...demo, pages: [{ ...first!, sections: [section] }, ...rest] }
  const rows = exceptionRows(site, picture)
  expect(rows.map((one) => [one.property, one.cells.map(({ own, holds }) => [own, holds])])).toEqual([
    [
      'picture',
      [
        [a, a],
        [undefined, a],
        [b, b],
      ],
    ],
  ])
  const after = (edits: Edit[]) => {
    const { block } = findBlock(applyEdit(site, batchOf('x', edits)).site, picture.id)!
    return block.kind === 'picture' ? [block.picture, block.instead] : []
  }
  expect(after(clearEdits(rows, 2))).toEqual([a, undefined])
  expect(after(sameAsBaseEdits(rows, 2))).toEqual([a, undefined])
  expect(after(copyEdits(rows, 2, 1))).toEqual([a, { [middle]: b, [narrow]: b }])
  expect(after(makeBaseEdits(rows, 2))).toEqual([b, undefined])
})
