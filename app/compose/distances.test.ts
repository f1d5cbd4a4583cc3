import { describe, expect, test } from 'vitest'
import { linesBetween, linesTo, linesToColumns, within } from './distances'

const box = (left: number, top: number, width: number, height: number) => ({ left, top, width, height })
const outer = box(0, 0, 400, 300)
const inner = box(100, 100, 80, 50)
const figures = (...neighbours: ReturnType<typeof box>[]) => linesTo(inner, outer, neighbours, 1).map((line) => line.px)

describe('distances', () => {
  test('run to the edges of what holds the block: left, right, up, down', () => {
    expect(figures()).toEqual([100, 220, 100, 150])
  })

  test('stop at a neighbour on the way', () => {
    expect(figures(box(20, 110, 30, 10))).toEqual([50, 220, 100, 150])
    expect(figures(box(200, 60, 50, 60))).toEqual([100, 20, 100, 150])
    expect(figures(box(110, 20, 10, 40))).toEqual([100, 220, 40, 150])
    expect(figures(box(90, 174, 200, 40))).toEqual([100, 220, 100, 24])
  })

  test('take the nearest of several', () => {
    expect(figures(box(200, 60, 50, 60), box(190, 140, 5, 20), box(300, 100, 5, 5))[1]).toBe(10)
  })

  test('pass by what is not in their way', () => {
    expect(figures(box(200, 0, 50, 90), box(200, 160, 50, 50))).toEqual([100, 220, 100, 150])
  })

  test('are not drawn where there is no room', () => {
    expect(linesTo(box(0, 0, 400, 100), outer, [box(0, 100, 400, 40)], 1)).toEqual([])
  })

  test('say by how much a neighbour lies over the block, across and down', () => {
    const over = linesTo(inner, outer, [box(160, 130, 100, 100)], 1).filter((line) => line.over)
    expect(over.map((line) => line.px)).toEqual([20, 20])
    expect(linesBetween(inner, box(160, 130, 100, 100), 0.5).map((line) => [line.px, line.over])).toEqual([
      [40, true],
      [40, true],
    ])
    // What lies wholly inside is held, and no overlap.
    expect(linesTo(inner, outer, [box(110, 110, 10, 10)], 1).some((line) => line.over)).toBe(false)
  })

  test('are px of the page, whatever the view’s zoom', () => {
    expect(linesTo(inner, outer, [], 0.5).map((line) => line.px)).toEqual([200, 440, 200, 300])
  })
})

test('a figure stays in its view', () => {
  expect(within(-12, 30, 200)).toBe(0)
  expect(within(190, 30, 200)).toBe(170)
  expect(within(50, 30, 200)).toBe(50)
})

describe('distances between two boxes', () => {
  const px = (a: ReturnType<typeof box>, b: ReturnType<typeof box>, scale = 1) => linesBetween(a, b, scale).map((line) => line.px)

  test('run across and down the space between them, whichever comes first', () => {
    expect(px(inner, box(220, 100, 50, 50))).toEqual([40])
    expect(px(box(220, 190, 50, 50), inner)).toEqual([40, 40])
    expect(px(inner, box(100, 170, 80, 10), 0.5)).toEqual([40])
  })

  test('run from edge to edge where one holds the other', () => {
    expect(px(inner, outer)).toEqual([100, 220, 100, 150])
    expect(px(outer, inner)).toEqual([100, 220, 100, 150])
  })

  test('are none where they touch, and say it where they lie over each other', () => {
    expect(px(inner, box(180, 100, 50, 50))).toEqual([])
    expect(px(inner, box(150, 120, 100, 100))).toEqual([30, 30])
  })

  test('run to the nearest column lines, and not from a side that stands on one', () => {
    const columns = [
      { left: 20, right: 90 },
      { left: 110, right: 180 },
      { left: 200, right: 270 },
    ]
    expect(linesToColumns(inner, columns, 1).map((line) => line.px)).toEqual([10])
    expect(linesToColumns(box(50, 0, 70, 10), columns, 0.5).map((line) => line.px)).toEqual([10, 30])
  })
})
