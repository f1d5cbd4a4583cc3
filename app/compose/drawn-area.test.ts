import { describe, expect, test } from 'vitest'
import { drawnArea, drawnInWords, indexFor } from './drawn-area'

const box = { left: 40, top: 100, width: 560, height: 300 }
/** Twelve columns of 560 px at half size: 1120 px with gutters of 24. */
const grid = { columns: 12, gap: 24 }
const column = (1120 - 11 * 24) / 12
const x = (n: number) => 40 + (n * (column + 24)) / 2

describe('a frame that is drawn', () => {
  test('takes every column that it touches, from whichever side it is drawn', () => {
    const area = drawnArea({ box, grid, rows: [] }, { x: x(2) + 4, y: 120 }, { x: x(5) + 4, y: 220 }, 0.5)
    expect(area).toMatchObject({ start: 3, span: 4, height: 200, width: Math.round(4 * column + 72) })
    expect(area.box.left).toBeCloseTo(x(2))
    expect(drawnArea({ box, grid, rows: [] }, { x: x(5) + 4, y: 220 }, { x: x(2) + 4, y: 120 }, 0.5)).toEqual(area)
    expect(drawnInWords(area, 12)).toBe('4 of 12 columns, 357 px by 200')
  })

  test('never leaves what it is drawn in', () => {
    const area = drawnArea({ box, grid, rows: [] }, { x: -50, y: 0 }, { x: 900, y: 900 }, 0.5)
    expect(area).toMatchObject({ start: 1, span: 12, width: 1120, height: 600 })
  })

  test('takes the rows that it touches where they have sizes', () => {
    const rows = [
      { top: 100, bottom: 160 },
      { top: 170, bottom: 400 },
    ]
    expect(drawnArea({ box, grid, rows }, { x: 41, y: 150 }, { x: 60, y: 200 }, 0.5)).toMatchObject({ rowStart: 1, rowSpan: 2 })
    expect(drawnArea({ box, grid, rows }, { x: 41, y: 180 }, { x: 60, y: 200 }, 0.5)).toMatchObject({ rowStart: 2, rowSpan: 1 })
  })

  test('is as wide as it is drawn where there are no columns', () => {
    const area = drawnArea({ box, rows: [] }, { x: 60, y: 120 }, { x: 160, y: 125 }, 0.5)
    expect(area).toMatchObject({ width: 200, height: 10 })
    expect(area.span).toBeUndefined()
    expect(drawnInWords(area, undefined)).toBe('200 px')
  })
})

test('a drawn block is read after what stands above it and before it in its row', () => {
  const at = (left: number, top: number) => ({ left, top, width: 100, height: 40 })
  const siblings = [at(0, 0), at(200, 0), at(0, 60)]
  expect(indexFor(at(110, 0), siblings)).toBe(1)
  expect(indexFor(at(110, 62), siblings)).toBe(3)
  expect(indexFor(at(0, 200), siblings)).toBe(3)
  expect(indexFor({ left: 0, top: -30, width: 300, height: 20 }, siblings)).toBe(0)
})
