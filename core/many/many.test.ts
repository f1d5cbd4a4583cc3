import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import type { Block, BlockOf } from '#core/blocks/index'
import { isContainer } from '#core/blocks/tree'
import { batchOf } from '#core/edits/batch'
import { chooserOf, demoSite } from '#core/edits/edits.fixture'
import { applyEdit, type Edit } from '#core/edits/index'
import type { Site } from '#core/site/schema'
import { findBlock, type Place, walkPage } from '#core/site/tree'
import { pixels, token } from '#core/values/length'
import { idMaker } from '#core/values/ids'
import { seededRandom } from '#core/values/ids.fixture'
import { alignEdits, type Boxes, distributeEdits, equalEdits, gapEdits, type Impossible } from './align'
import { alikeOf, isAlike, topmost } from './chosen'
import { stepEdits } from './step'
import { moveEdits, repeatEdits, unwrapEdits, wrapEdits } from './structure'
import { styleEdits, wordEdits } from './take-style'

const makeId = idMaker(seededRandom(7))

/** The demo site with three texts and what a test needs in a new section at the top of its first page. */
function scene(style: (n: number) => Block['style'], group?: Partial<BlockOf<'group'>>, count = 3) {
  const demo = demoSite()
  const texts = Array.from({ length: count }, (_, n) => ({
    ...newBlock('text', makeId),
    words: { en: [`Night ${n + 1}`] },
    style: style(n),
  }))
  const holder: Block = group ? { ...newBlock('group', makeId), ...group, children: texts } : texts[0]!
  const section = { ...newBlock('section', makeId), children: group ? [holder] : texts }
  const site: Site = { ...demo, pages: [{ ...demo.pages[0]!, sections: [section] }, ...demo.pages.slice(1)] }
  const places = texts.map((one) => findBlock(site, one.id)!)
  return { site, places, section, holder, ids: texts.map((one) => one.id) }
}
const made = (site: Site, edits: Edit[] | { problem: string }): Site => {
  if ('problem' in edits) throw new Error(edits.problem)
  return applyEdit(site, batchOf('many', edits)).site
}
const baseOf = (site: Site, id: string) => findBlock(site, id)!.block.style.base ?? {}
const bases = (site: Site, places: readonly Place[]) => places.map((one) => baseOf(site, one.block.id))
const childIds = (site: Site, id: string) => (findBlock(site, id)!.block as BlockOf<'group'>).children.map((one) => one.id)

describe('blocks are aligned', () => {
  const spread = (n: number) => ({ base: { span: 2 + n, start: 2 * n + 1 } })

  test('on a grid at the outermost column, or about their middle', () => {
    const { site, places } = scene(spread)
    // Columns 1 to 2, 3 to 5 and 5 to 8.
    expect(bases(made(site, alignEdits(site, places, 'start', 'across', 'base')), places).map((one) => one.start)).toEqual([
      1, 1, 1,
    ])
    expect(bases(made(site, alignEdits(site, places, 'end', 'across', 'base')), places).map((one) => one.start)).toEqual([7, 6, 5])
    expect(bases(made(site, alignEdits(site, places, 'center', 'across', 'base')), places).map((one) => one.start)).toEqual([
      4, 4, 3,
    ])
  })

  test('in the same columns, in their own place', () => {
    const { site, places } = scene(() => ({ base: { span: 4, start: 1 } }))
    const next = made(site, alignEdits(site, places, 'center', 'across', 'base'))
    expect(bases(next, places).every((one) => one.selfJustify === 'center')).toBe(true)
  })

  test('in a range of widths alone, where that is edited', () => {
    const { site, places } = scene(spread)
    const below = site.breakpoints.at(-1)!.id
    const next = made(site, alignEdits(site, places, 'start', 'down', { below }))
    expect(findBlock(next, places[0]!.block.id)!.block.style.below).toEqual({ [below]: { selfAlign: 'start' } })
  })

  test('not across a row, nor down a column, nor in several groups: it is said why', () => {
    const row = scene(() => ({}), { style: { base: { layout: 'row' } } })
    expect(alignEdits(row.site, row.places, 'start', 'across', 'base')).toMatchObject({
      problem: expect.stringMatching(/In a row/) as string,
    })
    const column = scene(() => ({}), {})
    expect(alignEdits(column.site, column.places, 'end', 'down', 'base')).toMatchObject({
      problem: expect.stringMatching(/In a column/) as string,
    })
    const blocks = [...walkPage(demoSite().pages[0]!)].filter((one) => one.kind === 'heading').slice(0, 2)
    const apart = blocks.map((one) => findBlock(demoSite(), one.id)!)
    expect(alignEdits(demoSite(), apart, 'start', 'across', 'base')).toMatchObject({
      problem: expect.stringMatching(/one group/) as string,
    })
  })
})

describe('blocks are stepped by columns', () => {
  test('to the side, wider and narrower, and never past an edge', () => {
    const { site, places } = scene((n) => ({ base: { span: 4, ...(n === 1 ? { start: 9 } : {}) } }))
    const step = (by: { start?: number; span?: number }) =>
      bases(made(site, stepEdits(site, places, by, 'base')), places).map((one) => [one.start, one.span])
    expect(step({ start: 1 })).toEqual([
      [2, 4],
      [9, 4],
      [2, 4],
    ])
    expect(step({ span: 2 })).toEqual([
      [undefined, 6],
      [9, 4],
      [undefined, 6],
    ])
    expect(step({ span: -9 })).toEqual([
      [undefined, 1],
      [9, 1],
      [undefined, 1],
    ])
    expect(stepEdits(site, [findBlock(site, site.pages[0]!.sections[0]!.id)!], { start: 1 }, 'base')).toEqual([])
  })
})

describe('columns are shared out', () => {
  test('equally, first to last', () => {
    const { site, places } = scene(() => ({}))
    expect(bases(made(site, distributeEdits(site, places, 'base', makeId)), places)).toEqual([
      { span: 4, start: 1 },
      { span: 4, start: 5 },
      { span: 4, start: 9 },
    ])
  })

  test('and not rounded: numbers that divide are named', () => {
    const { site, places } = scene(() => ({}), undefined, 5)
    const impossible = distributeEdits(site, places, 'base', makeId)
    expect(impossible).toMatchObject({
      problem: expect.stringMatching(/12 columns .* 5 blocks; 2, 3, 4, 6, 12/) as string,
    })
    // Columns of their own divide: those of what holds them alone, or of a group around some of several.
    const group = (of: Site, id: string) => findBlock(of, findBlock(of, id)!.ancestors.at(-1)!.id)!.block
    const own = made(site, (impossible as Impossible).instead!.edits)
    expect(group(own, places[0]!.block.id)).toMatchObject({ style: { base: { layout: 'grid', tracks: 5 } } })
    expect(bases(own, places).every((one) => one.span === 1 && one.start === undefined)).toBe(true)
  })
})

const boxes = (places: readonly Place[], box: (n: number) => [number, number, number, number]): Boxes =>
  new Map(places.map((one, n) => [one.block.id, (([left, top, width, height]) => ({ left, top, width, height }))(box(n))]))

describe('gaps and sizes', () => {
  test('gaps become what they were on average, without moving the first block', () => {
    const { site, places } = scene(() => ({ base: { spaceAfter: pixels(7) } }), {})
    // 20 and 40 px between them.
    const next = made(
      site,
      gapEdits(
        site,
        places,
        boxes(places, (n) => [0, [0, 120, 260][n]!, 300, 100]),
        'base',
        1280,
      ),
    )
    expect(bases(next, places)).toEqual([
      { spaceAfter: pixels(0) },
      { spaceBefore: pixels(30), spaceAfter: pixels(0) },
      { spaceBefore: pixels(30), spaceAfter: pixels(7) },
    ])
  })

  test('what rows of a grid have between them of themselves is no space of the blocks', () => {
    for (const [style, left] of [
      [{ layout: 'grid' }, 40 - demoSite().breakpoints[0]!.gutter],
      [{ layout: 'grid', gap: pixels(13) }, 27],
      [{ layout: 'grid', tracks: 2 }, 40],
      [{ layout: 'grid', rowGap: token('space-3') }, 28],
      [{ rowGap: token('space-3') }, 28],
    ] as const) {
      const { site, places } = scene(() => ({}), { style: { base: style } })
      const stacked = boxes(places, (n) => [0, n * 140, 300, 100])
      const next = made(site, gapEdits(site, places, stacked, 'base', 1280))
      expect(bases(next, places)[1]).toEqual({ spaceBefore: pixels(left), spaceAfter: pixels(0) })
    }
  })

  test('the gap of a row is the row’s own', () => {
    const { site, places, holder } = scene(() => ({}), { style: { base: { layout: 'row' } } })
    const next = made(
      site,
      gapEdits(
        site,
        places,
        boxes(places, (n) => [[0, 110, 230][n]!, 0, 100, 40]),
        'base',
        1280,
      ),
    )
    expect(baseOf(next, holder.id)).toEqual({ layout: 'row', gap: pixels(15) })
  })

  test('widths are those of the widest, heights of the highest, or of their row', () => {
    const { site, places } = scene((n) => ({ base: { span: n + 2 } }))
    expect(
      bases(
        made(
          site,
          equalEdits(
            site,
            places,
            'width',
            boxes(places, () => [0, 0, 9, 9]),
            'base',
          ),
        ),
        places,
      ).map((one) => one.span),
    ).toEqual([4, 4, 4])
    const row = made(
      site,
      equalEdits(
        site,
        places,
        'height',
        boxes(places, (n) => [n * 10, 0, 9, 20 + n]),
        'base',
      ),
    )
    expect(bases(row, places).map((one) => one.selfAlign)).toEqual(['stretch', 'stretch', 'stretch'])
    const below = scene(() => ({}), {})
    const high = made(
      below.site,
      equalEdits(
        below.site,
        below.places,
        'height',
        boxes(below.places, (n) => [0, n * 50, 9, 20 + n]),
        'base',
      ),
    )
    expect(bases(high, below.places).map((one) => one.minHeight)).toEqual([pixels(22), pixels(22), pixels(22)])
  })
})

describe('structure', () => {
  test('a group around blocks on columns takes those that they took, and goes again without a trace', () => {
    const { site, places, section, ids } = scene((n) => ({ base: { span: 3, ...(n === 0 ? { start: 1 } : {}) } }))
    const { group, edits } = wrapEdits(site, places, makeId)!
    const next = made(site, edits)
    expect(childIds(next, section.id)).toEqual([group])
    expect(childIds(next, group)).toEqual(ids)
    expect(baseOf(next, group)).toEqual({ layout: 'grid', span: 9, start: 1 })
    const back = unwrapEdits(next, [findBlock(next, group)!])!
    expect(back.blocks).toEqual(ids)
    expect(childIds(made(next, back.edits), section.id)).toEqual(ids)
  })

  test('sections are put into no group', () => {
    const site = demoSite()
    expect(wrapEdits(site, [findBlock(site, site.pages[0]!.sections[0]!.id)!], makeId)).toBeUndefined()
  })

  test('copies follow each other, each with the space asked for', () => {
    const { site, places, section, ids } = scene((n) => ({ base: { span: 2, start: 2 * n + 1 } }))
    const { copies, edits } = repeatEdits(site, places.slice(2), makeId, { times: 3, along: true, space: pixels(12) })
    const next = made(site, edits)
    expect(childIds(next, section.id)).toEqual([...ids, ...copies.map((one) => one.id)])
    expect(copies.map((one) => one.style.base)).toEqual(Array(3).fill({ span: 2, spaceBefore: pixels(12) }))
    expect(repeatEdits(site, places, makeId, { times: 1e9 }).copies).toHaveLength(300)
  })

  test('whatever is moved wherever stands there together, in reading order, and nothing else has changed its order', () => {
    const site = demoSite()
    const containers = [...walkPage(site.pages[0]!)]
      .filter(isContainer)
      .filter((one) => one.kind === 'group' || one.kind === 'section')
    fc.assert(
      fc.property(fc.nat(), fc.nat({ max: 9 }), fc.nat({ max: 9 }), (seed, from, index) => {
        const choose = chooserOf(seed)
        const container = containers[from % containers.length]!
        const chosen = container.children.filter(() => choose.number(2) === 0).map((one) => findBlock(site, one.id)!)
        if (chosen.length === 0) return
        const ids = chosen.map((one) => one.block.id)
        const next = made(site, moveEdits(site, chosen, container.id, index))
        const left = container.children.map((one) => one.id).filter((id) => !ids.includes(id))
        const at = Math.min(index, left.length)
        expect(childIds(next, container.id)).toEqual([...left.slice(0, at), ...ids, ...left.slice(at)])
      }),
      { seed: 3, numRuns: 60 },
    )
  })

  test('what lies inside another that is chosen goes with it', () => {
    const { site, places, holder } = scene(() => ({}), {})
    expect(topmost([places[2]!, findBlock(site, holder.id)!, places[0]!]).map((one) => one.block.id)).toEqual([holder.id])
    expect(topmost([places[2]!, places[0]!]).map((one) => one.block.id)).toEqual([places[0]!.block.id, places[2]!.block.id])
  })
})

describe('what is alike', () => {
  test('is of one kind, set in the same way at every width', () => {
    const { site, places } = scene((n) => (n === 2 ? { below: { x: { order: 1 } } } : {}))
    expect(alikeOf(site, places[0]!, 'section', 'kind')).toHaveLength(3)
    expect(alikeOf(site, places[0]!, 'page', 'style').map((one) => one.id)).toEqual(places.slice(0, 2).map((one) => one.block.id))
  })

  test('a style is put on others, at every width, but for where they stand', () => {
    const { site, places } = scene((n) =>
      n === 0
        ? {
            base: { span: 4, ink: { role: 'accent' }, size: pixels(20) },
            below: { [demoSite().breakpoints[1]!.id]: { size: pixels(16) } },
          }
        : { base: { span: 6, opacity: 0.5 } },
    )
    const [from, ...onto] = places.map((one) => one.block)
    const next = made(site, styleEdits(site, from!, onto))
    const got = findBlock(next, onto[0]!.id)!.block
    expect(got.style).toEqual({ ...from!.style, base: { ...from!.style.base, span: 6 } })
    expect(isAlike(got, findBlock(next, onto[1]!.id)!.block)).toBe(true)
  })

  test('what a block cannot have is left out, and words go to those that take them', () => {
    const site = demoSite()
    const blocks = [...walkPage(site.pages[0]!)]
    const heading = blocks.find((one) => one.kind === 'heading')!
    const onto = blocks.filter((one) => one.kind === 'picture' || one.kind === 'divider' || one.kind === 'text').slice(0, 6)
    expect(() => made(site, styleEdits(site, heading, onto))).not.toThrow()
    const words = wordEdits(heading, onto)
    expect(words).toHaveLength(onto.filter((one) => one.kind === 'text').length)
    expect(words[0]).toMatchObject({ kind: 'words', words: (heading as BlockOf<'heading'>).words })
  })

  test('motion alone leaves all else as it was', () => {
    const site = demoSite()
    const [from, onto] = [...walkPage(site.pages[0]!)].filter((one) => one.kind === 'heading')
    const motion = [{ kind: 'parallax' as const, speed: 0.5 }]
    const moved = made(site, [{ kind: 'style', block: from!.id, scope: 'base', values: { motion } }])
    const source = findBlock(moved, from!.id)!.block
    const next = made(moved, styleEdits(moved, source, [onto!], 'motion'))
    expect(findBlock(next, onto!.id)!.block.style).toEqual({ ...onto!.style, base: { ...onto!.style.base, motion } })
  })
})
