import { describe, expect, test } from 'vitest'
import { idleBreakpoints, isJump } from './at-breakpoints'
import { createFinder, inOrder } from './find'
import { priceOf } from './mended'
import { type At, block, readingOf, siteWith } from './scene.fixture'
import { cleanStretch, depthsOf, segmentsOf } from './segments'
import { isStraight } from './straight'
import { sweep } from './sweep'
import { stepAt, SWEPT, turningWidths } from './widths'

const held = [block('text', 'words'), block('heading', 'title')]
const site = siteWith([block('section', 'band', {}, { children: held })])

/** Sweeps a page whose boxes are what a function says of each width. */
function swept(boxes: (width: number) => Record<string, At>) {
  const finder = createFinder(site, site.pages[0]!.sections)
  const run = sweep(SWEPT.from, SWEPT.to, stepAt, turningWidths(site.breakpoints), isStraight)
  let next = run.next()
  while (!next.done) {
    const width = next.value
    const words = { words: { over: width < 480 ? 480 - width : 0 }, title: {} }
    const seen = readingOf({ width, boxes: { band: [0, 0, width, 600], ...boxes(width) }, words })
    next = run.next({ keys: finder.look(seen), seen })
  }
  const { findings, at } = finder.findings(next.value)
  return { findings: inOrder(findings), at }
}

describe('a page that is run through its widths', () => {
  test('is found to have what holds, with its exact ranges, where it is worst, and how bad it is there', () => {
    const { findings } = swept((width) => ({
      words: [0, 0, width >= 900 && width <= 956 ? 958 : width, 40],
      title: [0, 60, 200, 40],
    }))
    expect(findings.map(({ kind, block: id, ranges, worst }) => [kind, id, ranges, worst])).toEqual([
      ['pastWindow', 'words', [{ from: 900, to: 956 }], 900],
      ['brokenWord', 'words', [{ from: 280, to: 478 }], 280],
    ])
    expect(findings[0]!.sentence).toBe('A text reaches 58 px past the window.')
    expect(findings[1]!.set).toEqual({ size: 16, fits: (16 * 280) / 480 })
  })

  test('is found to jump where a section is another height from one px to the next', () => {
    const { findings, at } = swept((width) => ({ band: [0, 0, width, width < 640 ? 900 : 500], words: [0, 0, 200, 40] }))
    const jump = findings.find((one) => one.kind === 'jump')!
    expect([jump.block, jump.ranges, jump.fault]).toEqual(['band', [{ from: 639, to: 640 }], false])
    expect(jump.sentence).toBe('“Reasons” becomes 0.56 times as high from one px to the next.')
    expect(idleBreakpoints(at, site.breakpoints)).toEqual([1024])
  })

  test('does nothing at a breakpoint where no box changes', () => {
    const { at } = swept((width) => ({ words: [0, 0, width < 1024 ? 200 : 400, 40] }))
    expect(idleBreakpoints(at, site.breakpoints)).toEqual([640])
  })
})

test('a jump is more than a third, up or down', () => {
  expect([1.32, 1.34, 0.76, 0.74].map(isJump)).toEqual([false, true, false, true])
})

const finding = (id: string, ...ranges: [number, number][]) => ({
  kind: 'pastWindow' as const,
  fault: true,
  block: id,
  sentence: '',
  worst: ranges[0]![0],
  ranges: ranges.map(([from, to]) => ({ from, to })),
})

describe('on the ruler', () => {
  const list = [finding('a', [300, 400], [700, 720]), finding('b', [350, 410]), finding('c', [411, 420])]

  test('ranges that overlap or follow each other are one', () => {
    expect(segmentsOf(list).map(({ from, to, findings }) => [from, to, findings.length])).toEqual([
      [300, 420, 3],
      [700, 720, 1],
    ])
  })

  test('it is deeper where several meet', () => {
    expect(depthsOf(list)).toEqual([
      { from: 300, to: 349, depth: 1 },
      { from: 350, to: 400, depth: 2 },
      { from: 401, to: 410, depth: 1 },
      { from: 411, to: 420, depth: 1 },
      { from: 700, to: 720, depth: 1 },
    ])
  })

  test('the longest stretch without any is told', () => {
    expect(cleanStretch(list)).toEqual({ from: 721, to: 2560 })
    expect(cleanStretch([])).toEqual(SWEPT)
    expect(cleanStretch([finding('a', [SWEPT.from, SWEPT.to])])).toBeUndefined()
  })
})

describe('a change mends a finding', () => {
  const [one, other] = [finding('a', [300, 400]), finding('b', [300, 400])]
  const eye = { ...finding('c', [500, 510]), kind: 'loneWord' as const, fault: false }

  test('if that is gone and no other came or grew', () => {
    expect(priceOf(one, [one, other], [other])).toEqual([])
    expect(priceOf(one, [one, other], [one, other])).toBeUndefined()
    expect(priceOf(one, [one, other], [finding('a', [300, 310]), other])).toBeUndefined()
    expect(priceOf(one, [one, other], [finding('b', [300, 401])])).toBeUndefined()
    expect(priceOf(one, [one], [other])).toBeUndefined()
  })

  test('at a price, where something for the eye came or grew', () => {
    expect(priceOf(one, [one], [eye])).toEqual([eye])
    const more = { ...eye, ranges: [{ from: 500, to: 511 }] }
    expect(priceOf(one, [one, eye], [more])).toEqual([more])
    expect(priceOf(one, [one, more], [eye])).toEqual([])
  })
})
