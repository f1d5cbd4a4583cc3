import { describe, expect, test } from 'vitest'
import type { Block } from '#core/blocks/index'
import type { Picture } from '#core/picture/picture'
import { pixels } from '#core/values/length'
import { factsOf } from '../facts'
import { block, foundBy, readingOf, siteWith } from '../scene.fixture'
import { WIDTH_CHECKS } from './index'

const text = (id: string) => block('text', id)
const group = (id: string, held: object[], values = {}) => block('group', id, values, { children: held })

describe('what reaches past something', () => {
  test('a block past the window is found by how far it reaches, the innermost of several', () => {
    const held = [group('card', [text('words')])]
    expect(foundBy('pastWindow', held, { boxes: { card: [0, 0, 817, 40], words: [0, 0, 817, 40] } })).toEqual([['words', 17]])
    expect(foundBy('pastWindow', held, { boxes: { card: [-9, 0, 300, 40], words: [0, 0, 300, 40] } })).toEqual([['card', 9]])
    expect(foundBy('pastWindow', held, { boxes: { card: [0, 0, 800.6, 40], words: [0, 0, 800, 40] } })).toEqual([])
  })

  test('what is cut off does not make the page scroll', () => {
    const held = [group('card', [text('words')])]
    expect(foundBy('pastWindow', held, { boxes: { card: [0, 0, 800, 40], words: [0, 0, 900, 40] }, cuts: ['card'] })).toEqual([])
  })

  test('a block out of its group is found, but not one that scrolls, or is held there', () => {
    const boxes = { card: [0, 0, 300, 40], words: [0, 0, 317, 40] } as const
    expect(foundBy('pastHolder', [group('card', [text('words')])], { boxes })).toEqual([['words', 'card', 17]])
    expect(foundBy('pastHolder', [group('card', [text('words')], { layout: 'row', scrolls: true })], { boxes })).toEqual([])
    expect(foundBy('pastHolder', [group('card', [block('text', 'words', { position: 'held' })])], { boxes })).toEqual([])
  })

  test('what a slideshow brings into sight in turn is past nothing; a strip that rests is a row like others', () => {
    const boxes = { show: [0, 0, 800, 40], slide: [900, 0, 800, 40], words: [900, 0, 300, 40] } as const
    const slides = [group('slide', [text('words')])]
    for (const kind of ['pastWindow', 'pastHolder'] as const) {
      expect(foundBy(kind, [block('slideshow', 'show', {}, { children: slides })], { boxes })).toEqual([])
      expect(foundBy(kind, [group('show', slides, { motion: [{ kind: 'strip', speed: 40 }] } as never)], { boxes })).not.toEqual([])
      expect(foundBy(kind, [group('show', slides)], { boxes })).not.toEqual([])
    }
  })

  test('words past a box that cuts are cut off; a picture past it is cropped', () => {
    const boxes = { card: [0, 0, 300, 40], words: [0, 0, 300, 80] } as const
    const held = [group('card', [text('words')])]
    expect(foundBy('cutWords', held, { boxes, words: { words: { count: 4 } }, cuts: ['card'] })).toEqual([['words', 40]])
    expect(foundBy('cutWords', held, { boxes, words: { words: { count: 4 } } })).toEqual([])
    expect(foundBy('cutWords', held, { boxes, cuts: ['card'] })).toEqual([])
  })
})

describe('what the engine says of the page', () => {
  const past = (width: number, by: number, mirrored = false, more: object = {}) => {
    const held = [text('words')]
    const site = siteWith([block('section', 'band', {}, { children: held })])
    const boxes = { band: [0, 0, 800, 600], words: [20, 0, width, 40] } as const
    const reading = { ...readingOf({ boxes, words: { words: more } }), past: { by, block: 'band' } }
    const at = { reading, facts: factsOf(site, site.pages[0]!.sections), breakpoints: site.breakpoints, range: 0, window: 800 }
    return [...WIDTH_CHECKS.pastWindow.find({ ...at, mirrored, pictures: [] })].map((one) => [one.block, one.by])
  }

  test('a page that is a px wider scrolls; one that is not, does not, whatever its boxes say', () => {
    expect(past(781, 1)).toEqual([['words', 1]])
    expect(past(900, 0)).toEqual([])
  })

  test('what no block accounts for is found by what the engine blames', () => {
    expect(past(300, 40)).toEqual([['band', 40]])
  })

  test('a line that goes on past its box makes the page scroll as a box does', () => {
    expect(past(300, 90, false, { lines: [{ left: 20, top: 0, right: 890, bottom: 40 }] })).toEqual([['words', 90]])
  })
})

describe('words', () => {
  test('that something is painted over are found, with what covers them, but not behind what is shown in turn', () => {
    const covered = (held: object[]) => {
      const site = siteWith([block('section', 'band', {}, { children: held })])
      const reading = readingOf({ boxes: { words: [0, 0, 300, 40], card: [0, 30, 300, 40] }, words: { words: {} } })
      Object.assign(reading.blocks.get('words')!, { covered: { by: 'card', px: 7 } })
      const at = { reading, facts: factsOf(site, site.pages[0]!.sections), breakpoints: site.breakpoints, range: 0, window: 800 }
      return [...WIDTH_CHECKS.coveredWords.find({ ...at, pictures: [] })]
    }
    expect(covered([text('words'), group('card', [])])).toEqual([{ block: 'words', beside: 'card', by: 7 }])
    const slides = [group('one', [text('words')]), group('card', [])]
    expect(covered([block('slideshow', 'show', {}, { children: slides })])).toEqual([])
  })

  test('that leave the ground or the fixed box that they stand in are found by how far; held and scrolled ones are not', () => {
    const boxes = { card: [0, 0, 300, 40], words: [0, 0, 300, 80] } as const
    const four = { words: { words: { count: 4 } } }
    const fixed = (values: object, own = {}) =>
      foundBy('wordsOut', [group('card', [block('text', 'words', own)], values)], { boxes, ...four })
    // Letters end 0.22 of their size, 16 px, before their line does.
    expect(fixed({ height: pixels(40) })).toEqual([['words', 'card', 36.48]])
    expect(fixed({})).toEqual([])
    expect(fixed({ height: pixels(40) }, { position: 'held' })).toEqual([])
    expect(fixed({ height: pixels(40), layout: 'row', scrolls: true })).toEqual([])
    expect(foundBy('wordsOut', [group('card', [text('words')])], { boxes, ...four, paints: ['card'] })).toEqual([
      ['words', 'card', 36.48],
    ])
    // The ground that is nearest counts.
    expect(foundBy('wordsOut', [group('card', [text('words')])], { boxes, ...four, paints: ['card', 'words'] })).toEqual([])
  })

  test('that touch the edge of their ground are found, and not those with air around them', () => {
    const held = [group('card', [text('words')])]
    const at = (left: number, top: number) => ({
      boxes: { card: [0, 0, 300, 100], words: [left, top, 200, 24] } as const,
      words: { words: {} },
      paints: ['card'],
    })
    expect(foundBy('tightEdge', held, at(0, 30))).toEqual([['words', 'card', 4]])
    expect(foundBy('tightEdge', held, at(3, 30))).toEqual([['words', 'card', 1]])
    expect(foundBy('tightEdge', held, at(12, 30))).toEqual([])
    expect(foundBy('tightEdge', held, { ...at(0, 30), paints: [] })).toEqual([])
  })

  test('with a figure on two lines are found', () => {
    const boxes = { words: [0, 0, 300, 40] } as const
    expect(foundBy('partedFigure', [text('words')], { boxes, words: { words: { parted: '£1 250' } } })).toEqual([['words', 1]])
    expect(foundBy('partedFigure', [text('words')], { boxes, words: { words: {} } })).toEqual([])
  })

  test('over words are found where their letters meet, and not where only their lines do', () => {
    const held = [text('one'), text('two')]
    const words = { one: {}, two: {} }
    expect(foundBy('overEachOther', held, { boxes: { one: [0, 0, 200, 24], two: [0, 12, 200, 24] }, words })).toEqual([
      ['two', 'one', 4.96],
    ])
    expect(foundBy('overEachOther', held, { boxes: { one: [0, 0, 200, 24], two: [0, 20, 200, 24] }, words })).toEqual([])
    expect(foundBy('overEachOther', held, { boxes: { one: [0, 0, 200, 24], two: [220, 0, 200, 24] }, words })).toEqual([])
    const over = [text('one'), block('text', 'two', { layer: 'raised' })]
    expect(foundBy('overEachOther', over, { boxes: { one: [0, 0, 200, 24], two: [0, 12, 200, 24] }, words })).toEqual([])
  })

  test('that are seen in turn lie over nothing', () => {
    const parts = [group('first', [text('one')]), group('second', [text('two')])]
    const words = { one: {}, two: {} }
    const boxes = { one: [0, 0, 200, 24], two: [0, 12, 200, 24] } as const
    expect(foundBy('overEachOther', [{ ...group('all', parts), oneShown: true } as never], { boxes, words })).toEqual([])
    expect(foundBy('overEachOther', [group('all', parts)], { boxes, words })).toHaveLength(1)
  })

  test('that do not fit on a line are found by how much they lack', () => {
    const boxes = { one: [0, 0, 200, 24] } as const
    expect(foundBy('brokenWord', [text('one')], { boxes, words: { one: { over: 17, broken: true } } })).toEqual([['one', 17]])
    expect(foundBy('brokenWord', [text('one')], { boxes, words: { one: {} } })).toEqual([])
  })

  test('below 12 px are found, at 12 px are not', () => {
    const boxes = { one: [0, 0, 200, 24] } as const
    expect(foundBy('smallWords', [text('one')], { boxes, words: { one: { size: 11 } } })).toEqual([['one', 1]])
    expect(foundBy('smallWords', [text('one')], { boxes, words: { one: { size: 12 } } })).toEqual([])
  })

  test('of a button on two lines, and a heading on five or with a word alone, are found', () => {
    const boxes = { one: [0, 0, 200, 100] } as const
    expect(foundBy('secondLine', [block('button', 'one')], { boxes, words: { one: { count: 2 } } })).toEqual([['one', 2]])
    expect(foundBy('secondLine', [text('one')], { boxes, words: { one: { count: 2 } } })).toEqual([])
    expect(foundBy('headingLines', [block('heading', 'one')], { boxes, words: { one: { count: 5 } } })).toEqual([['one', 5]])
    expect(foundBy('headingLines', [block('heading', 'one')], { boxes, words: { one: { count: 4 } } })).toEqual([])
    expect(foundBy('loneWord', [block('heading', 'one')], { boxes, words: { one: { count: 2, lone: true } } })).toEqual([
      ['one', 1],
    ])
    expect(foundBy('loneWord', [text('one')], { boxes, words: { one: { count: 2, lone: true } } })).toEqual([])
  })

  test('in lines of more than 80 characters, or less than 30 where there is room, are found', () => {
    const long = { boxes: { one: [0, 0, 700, 48] }, words: { one: { count: 2, characters: 190 } } } as const
    expect(foundBy('longLines', [text('one')], long)).toEqual([['one', 95]])
    expect(foundBy('longLines', [block('heading', 'one')], long)).toEqual([])
    const short = { boxes: { one: [0, 0, 150, 96] }, words: { one: { count: 4, characters: 80 } } } as const
    expect(foundBy('shortLines', [text('one')], short)).toEqual([['one', 10]])
    expect(foundBy('shortLines', [text('one')], { ...short, width: 200 })).toEqual([])
  })
})

describe('what is pressed', () => {
  const link = (id: string) => block('link', id)
  const held = [block('nav', 'links', {}, { children: [link('one'), link('two')] })]

  test('is found where it is small and another is near, by 2.5.8', () => {
    expect(foundBy('smallTarget', held, { boxes: { links: [0, 0, 400, 20], one: [0, 0, 60, 20], two: [0, 20, 60, 20] } })).toEqual([
      ['one', 4],
      ['two', 4],
    ])
    expect(foundBy('smallTarget', held, { boxes: { links: [0, 0, 400, 60], one: [0, 0, 60, 20], two: [0, 30, 60, 20] } })).toEqual(
      [],
    )
    expect(foundBy('smallTarget', held, { boxes: { links: [0, 0, 400, 60], one: [0, 0, 60, 24], two: [0, 24, 60, 24] } })).toEqual(
      [],
    )
  })

  test('is looked at for fingers in narrow windows alone', () => {
    const boxes = { one: [0, 0, 90, 36], two: [0, 40, 90, 36] } as const
    const buttons = [block('button', 'one'), block('button', 'two')]
    expect(foundBy('touchTarget', buttons, { width: 390, boxes })).toEqual([
      ['one', 8],
      ['two', 8],
    ])
    expect(foundBy('touchTarget', buttons, { width: 1280, boxes })).toEqual([])
    expect(foundBy('closeTargets', buttons, { width: 390, boxes })).toEqual([['two', 'one', 4]])
    expect(foundBy('closeTargets', buttons, { width: 390, boxes: { one: [0, 0, 90, 36], two: [0, 44, 90, 36] } })).toEqual([])
  })

  test('takes one row in a navigation', () => {
    expect(foundBy('secondRow', held, { boxes: { links: [0, 0, 100, 50], one: [0, 0, 60, 24], two: [0, 26, 60, 24] } })).toEqual([
      ['links', 2],
    ])
    expect(foundBy('secondRow', held, { boxes: { links: [0, 0, 200, 24], one: [0, 0, 60, 24], two: [70, 2, 60, 20] } })).toEqual([])
  })
})

describe('a header', () => {
  const bar = [
    block('link', 'name', { span: 3 }),
    block('nav', 'links', { span: 6 }, { children: [] }),
    block('button', 'call', { span: 3 }),
  ]
  const header = (held: Block[], boxes: Record<string, readonly [number, number, number, number]>) =>
    foundBy('splitHeader', held, { width: 768, boxes }, {}, { job: 'header' })

  test('that is one row in a wide window is one row, or folds', () => {
    const one = { name: [0, 0, 200, 40], links: [210, 0, 300, 40], call: [520, 4, 200, 32] } as const
    expect(header(bar, one)).toEqual([])
    expect(header(bar, { ...one, links: [0, 44, 300, 40], call: [520, 44, 200, 40] })).toEqual([['band', 2]])
    expect(header(bar, { ...one, links: [0, 44, 300, 40], call: [0, 90, 200, 40] })).toEqual([['band', 3]])
    // What stands under each other in a wide window as well is no split, and other sections may break.
    const two = [block('link', 'name', { span: 12 }), block('nav', 'links', { span: 12 }, { children: [] })]
    expect(header(two, { name: [0, 0, 700, 40], links: [0, 44, 700, 40] })).toEqual([])
    expect(foundBy('splitHeader', bar, { width: 768, boxes: { ...one, call: [0, 90, 200, 40] } })).toEqual([])
  })

  test('that is a row inside is looked at as well', () => {
    const row = [
      group(
        'row',
        bar.map((one) => ({ ...one, style: {} })),
        { layout: 'row' },
      ),
    ]
    expect(header(row, { row: [0, 0, 700, 90], name: [0, 0, 200, 40], links: [0, 44, 300, 40], call: [310, 44, 200, 40] })).toEqual(
      [['band', 2]],
    )
  })
})

describe('what is laid out on columns', () => {
  const cards = ['a', 'b', 'c', 'd'].map(text)
  const grid = [group('cards', cards, { layout: 'grid', tracks: 3 })]
  const three = { cards: [0, 0, 600, 220], a: [0, 0, 190, 100], b: [205, 0, 190, 100], c: [410, 0, 190, 100] } as const

  test('leaves no block alone under a row of several', () => {
    expect(foundBy('rowOfOne', grid, { boxes: { ...three, d: [0, 120, 190, 100] } })).toEqual([['cards', 3]])
    expect(foundBy('rowOfOne', grid, { boxes: three })).toEqual([])
  })

  test('leaves no column empty', () => {
    const two = { cards: [0, 0, 600, 100], a: [0, 0, 190, 100], b: [205, 0, 190, 100] } as const
    expect(foundBy('emptyColumn', grid, { boxes: two })).toEqual([['cards', 205]])
    expect(foundBy('emptyColumn', grid, { boxes: three })).toEqual([])
    // A row of two above a row of one leaves a column empty as well.
    const over = { cards: [0, 0, 600, 220], a: [0, 0, 190, 100], b: [205, 0, 190, 100], c: [0, 120, 190, 100] } as const
    expect(foundBy('emptyColumn', grid, { boxes: over })).toEqual([['cards', 205]])
    // One below the other is a column, and leaves nothing.
    const down = { cards: [0, 0, 600, 220], a: [0, 0, 190, 100], b: [0, 120, 190, 100] } as const
    expect(foundBy('emptyColumn', grid, { boxes: down })).toEqual([])
  })

  test('is read in the order in which it is seen', () => {
    const held = [text('a'), text('b')]
    const words = { a: {}, b: {} }
    expect(foundBy('readingOrder', held, { boxes: { a: [0, 100, 200, 40], b: [0, 0, 200, 40] }, words })).toEqual([['b', 'a', 100]])
    expect(foundBy('readingOrder', held, { boxes: { a: [300, 0, 200, 40], b: [0, 0, 200, 40] }, words })).toEqual([['b', 'a', 300]])
    expect(foundBy('readingOrder', held, { boxes: { a: [0, 0, 200, 40], b: [300, 0, 200, 40] }, words })).toEqual([])
    // Pictures may be anywhere.
    expect(
      foundBy('readingOrder', [text('a'), block('picture', 'b')], {
        boxes: { a: [0, 100, 200, 40], b: [0, 0, 200, 40] },
        words: { a: {} },
      }),
    ).toEqual([])
  })
})

describe('pictures', () => {
  const photo: Picture = {
    id: 'dome',
    name: 'Dome',
    hash: 'a'.repeat(64),
    type: 'image/jpeg',
    width: 400,
    height: 200,
    focal: { x: 10, y: 50 },
  }
  const placed = (values = {}) => [block('picture', 'one', values, { picture: 'dome' })]

  test('are found where they are drawn larger than they are', () => {
    expect(foundBy('blownUp', placed(), { boxes: { one: [0, 0, 500, 250] }, pictures: [photo] })).toEqual([['one', 1.25]])
    expect(foundBy('blownUp', placed(), { boxes: { one: [0, 0, 400, 200] }, pictures: [photo] })).toEqual([])
    const drawing = { ...photo, type: 'image/svg+xml' as const }
    expect(foundBy('blownUp', placed(), { boxes: { one: [0, 0, 500, 250] }, pictures: [drawing] })).toEqual([])
  })

  test('are found where the crop loses their focal point', () => {
    const boxes = { one: [0, 0, 100, 200] } as const
    expect(foundBy('focusCropped', placed({ focal: { x: 90, y: 50 } }), { boxes, pictures: [photo] })).toEqual([['one', 75]])
    expect(foundBy('focusCropped', placed(), { boxes, pictures: [photo] })).toEqual([])
    // Where nothing is set, what the picture asks to be kept is kept; shown whole, nothing is cropped.
    const { focal: _, ...plain } = photo
    expect(foundBy('focusCropped', placed({ focal: { x: 90, y: 50 } }), { boxes, pictures: [plain] })).toEqual([])
    expect(foundBy('focusCropped', placed({ fit: 'contain', focal: { x: 90, y: 50 } }), { boxes, pictures: [photo] })).toEqual([])
    const kept = { ...photo, safe: { left: 70, top: 0, width: 30, height: 100 } }
    expect(foundBy('focusCropped', placed(), { boxes, pictures: [kept] })).toEqual([['one', 75]])
  })
})

describe('the window', () => {
  test('is not covered by more than a third by what stays in sight', () => {
    const sticky = [block('text', 'one', { position: 'sticky' }), text('rest')]
    const boxes = { band: [0, 0, 1280, 2000], rest: [140, 320, 1000, 1600] } as const
    const found = (one: [number, number, number, number]) =>
      foundBy('highSticky', sticky, { width: 1280, boxes: { ...boxes, one } })
    // It covers the content, whatever the section has beside that.
    expect(found([140, 0, 1000, 320])).toEqual([['one', 0.4]])
    expect(found([140, 0, 1000, 200])).toEqual([])
    expect(found([140, 0, 400, 320])).toEqual([])
    expect(found([0, 0, 140, 320])).toEqual([])
  })

  test('is filled by a section that is meant to, and not by a little more', () => {
    const full = { minHeight: { value: 100, unit: 'vh' as const } }
    expect(foundBy('overWindow', [], { width: 1280, boxes: { band: [0, 0, 1280, 850] } }, full)).toEqual([['band', 50]])
    expect(foundBy('overWindow', [], { width: 1280, boxes: { band: [0, 0, 1280, 800] } }, full)).toEqual([])
    expect(foundBy('overWindow', [], { width: 1280, boxes: { band: [0, 0, 1280, 850] } }, { minHeight: pixels(800) })).toEqual([])
  })
})

describe('what cards end with', () => {
  const card = (id: string, last: 'button' | 'text' = 'button') => group(id, [text(`${id}-words`), block(last, `${id}-end`)])
  const boxes = (end: number) =>
    ({
      cards: [0, 0, 800, 300],
      a: [0, 0, 390, 300],
      'a-words': [0, 0, 390, 100],
      'a-end': [0, 200, 100, 40],
      b: [410, 0, 390, 300],
      'b-words': [410, 0, 390, 100],
      'b-end': [410, end, 100, 40],
    }) as const
  const across = { layout: 'grid', tracks: 2 } as const

  test('stands on one line', () => {
    const held = [group('cards', [card('a'), card('b')], across)]
    expect(foundBy('unevenEnds', held, { boxes: boxes(224) })).toEqual([['cards', 24]])
    expect(foundBy('unevenEnds', held, { boxes: boxes(201) })).toEqual([])
  })

  test('is compared where cards are alike and it is pressed', () => {
    const other = [group('cards', [card('a'), group('b', [block('button', 'b-end')])], across)]
    expect(foundBy('unevenEnds', other, { boxes: boxes(224) })).toEqual([])
    const words = [group('cards', [card('a', 'text'), card('b', 'text')], across)]
    expect(foundBy('unevenEnds', words, { boxes: boxes(224) })).toEqual([])
  })
})

describe('gaps', () => {
  const held = ['a', 'b', 'c', 'd'].map(text)
  const at = (...tops: number[]) => Object.fromEntries(tops.map((top, n) => [held[n]!.id, [0, top, 300, 40] as const]))

  test('one that is a little other than the rest is found, by how much', () => {
    expect(foundBy('unequalGaps', held, { boxes: at(0, 60, 120, 185) })).toEqual([['d', 5]])
  })

  test('equal ones, a break that is meant, two that differ, and blocks of other kinds are not', () => {
    expect(foundBy('unequalGaps', held, { boxes: at(0, 60, 120, 180) })).toEqual([])
    expect(foundBy('unequalGaps', held, { boxes: at(0, 60, 120, 220) })).toEqual([])
    expect(foundBy('unequalGaps', held, { boxes: at(0, 60, 125, 195) })).toEqual([])
    const other = [...held.slice(0, 3), block('heading', 'd')]
    expect(foundBy('unequalGaps', other, { boxes: at(0, 60, 120, 185) })).toEqual([])
  })
})
