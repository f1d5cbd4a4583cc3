import { describe, expect, test } from 'vitest'
import { sampleViewports, sizesOfDrawn, widthsFor } from '#core/picture/sizes'
import { newBlock } from '#core/blocks/defaults'
import { newSite } from '#core/site/defaults'
import type { Block, BlockOf, Section } from '#core/blocks/index'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { boxedOtherwise, drawnWidth, pictureBoxes } from './boxes'
import { drawnIn, sightsOf } from './drawn'
import { linesIn, sightOf } from './line-box'

let count = 0
const id = () => `id${count++}`
const photo = { id: 'photo', name: 'Ridge', hash: 'a'.repeat(64), type: 'image/jpeg' as const, width: 3000, height: 2000 }
const site = { ...newSite('Site', id), pictures: [photo] }
const make = <K extends 'picture' | 'group' | 'section' | 'text'>(kind: K, base: StyleValues, more: object = {}) =>
  ({ ...newBlock(kind, id), style: { base }, ...more }) as unknown as BlockOf<K>
const picture = (base: StyleValues = {}) => make('picture', base, { picture: 'photo' })
const section = (children: Block[], base: StyleValues = {}): Section => make('section', base, { children })
const at = (viewport: number, window = 800) => sightOf(site, 'en', viewport, window)

describe('boxes of pictures', () => {
  test('behind a section are the whole window wide and as high as the section', () => {
    const behind = picture({ position: 'backdrop' })
    const boxes = pictureBoxes(section([behind], { minHeight: { value: 80, unit: 'vh' } }), at(2560, 1000))
    expect(boxes.get(behind.id)).toEqual({ width: 2560, height: 800 })
  })

  test('in a row share what is left', () => {
    const [a, b] = [picture({ grow: true }), picture({ grow: true })]
    const row = make('group', { layout: 'row', gap: pixels(20) }, { children: [a, b] })
    const boxes = pictureBoxes(section([row]), at(1280))
    const content = Math.min(1280 - 2 * site.breakpoints[0]!.margin, site.breakpoints[0]!.container)
    expect(boxes.get(a.id)!.width).toBeCloseTo((content - 20) / 2, 5)
  })

  test('stand on columns and keep their shape, their greatest width, or a height of their own', () => {
    const six = picture({ span: 6, aspect: { width: 1, height: 1 } })
    const narrow = picture({ maxWidth: pixels(300) })
    const high = picture({ height: pixels(900) })
    const boxes = pictureBoxes(section([six, narrow, high]), at(1280))
    expect(boxes.get(six.id)!.width).toBeCloseTo(boxes.get(six.id)!.height, 5)
    expect(boxes.get(narrow.id)).toEqual({ width: 300, height: 200 })
    expect(drawnWidth(boxes.get(high.id)!, 1.5, 'cover')).toBe(1350)
    expect(drawnWidth({ width: 400, height: 100 }, 1.5, 'contain')).toBe(150)
  })

  test('those that follow from columns alone are told from the others', () => {
    const [plain, inRow, behind] = [picture({ span: 4 }), picture(), picture({ position: 'backdrop' })]
    const made = section([plain, make('group', { layout: 'row' }, { children: [inRow] }), behind])
    expect(boxedOtherwise(made)).toEqual(new Set([inRow.id, behind.id]))
  })

  test('grow with the words in front of them', () => {
    const text = make('text', {}, { words: { en: ['word '.repeat(400)] } })
    const behind = picture({ position: 'backdrop' })
    const height = (viewport: number) => pictureBoxes(section([behind, text]), at(viewport)).get(behind.id)!.height
    expect(height(375)).toBeGreaterThan(2 * height(1280))
  })
})

describe('lines', () => {
  const setting = { size: 10, line: 15, advance: 0.5 }
  test('break between words, at breaks, and inside words that are longer than a line', () => {
    expect(linesIn(['one two'], 100, setting)).toBe(1)
    expect(linesIn(['one two three'], 40, setting)).toBe(2)
    expect(linesIn(['a', { kind: 'break' }, 'b'], 100, setting)).toBe(2)
    expect(linesIn(['a'.repeat(40)], 100, setting)).toBe(2)
  })
})

describe('sizes of covering pictures', () => {
  const sizesFor = (made: Section, block: BlockOf<'picture'>) =>
    sizesOfDrawn(drawnIn(made, site, sightsOf(site, 'en'))(block, photo)!, site.breakpoints)

  test('follow the height of the window where the section does', () => {
    const behind = picture({ position: 'backdrop' })
    expect(sizesFor(section([behind], { minHeight: { value: 100, unit: 'vh' } }), behind)).toBe('max(100vw, 150vh)')
  })

  test('say what the height asks for where it is wider than the box', () => {
    const high = picture({ height: pixels(1000) })
    expect(sizesFor(section([high]), high)).toContain('1500px')
  })

  test('files are made so close together that the nearest is never a quarter off', () => {
    const widths = widthsFor([320, 900, 2560], 3000)
    for (const [i, width] of widths.entries()) if (i > 0) expect(width / widths[i - 1]!).toBeLessThanOrEqual(1.26)
    expect(widths.at(-1)).toBe(3000)
    expect(sampleViewports(site.breakpoints)).toContain(639)
  })
})
