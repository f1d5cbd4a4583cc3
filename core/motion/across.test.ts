import { describe, expect, test } from 'vitest'
import { carriedPast, movesAcross, sidesOf } from './across'
import type { Motion } from './motion'
import { AT_REST } from './pose'
import type { Box, Scene } from './scene'

const own: Box = { left: 20, top: 900, width: 200, height: 100 }
const scene: Scene = { window: 800, page: 3000, section: () => undefined }
const px = (value: number) => ({ value, unit: 'px' as const })
const scrub = (pose: object, more: object = {}): Motion =>
  ({
    kind: 'scrub',
    range: { of: 'page', begins: 0, ends: 1000 },
    states: [
      { at: 0, pose: {} },
      { at: 100, pose },
    ],
    ...more,
  }) as Motion

test('sides of a box follow what carries, grows and turns it', () => {
  expect(sidesOf(own, AT_REST)).toEqual([20, 220])
  expect(sidesOf(own, { ...AT_REST, x: 30 })).toEqual([50, 250])
  expect(sidesOf(own, { ...AT_REST, scale: 2 })).toEqual([-80, 320])
  expect(sidesOf(own, { ...AT_REST, scale: 2 }, { x: 0, y: 0.5 })).toEqual([20, 420])
  const [left, right] = sidesOf(own, { ...AT_REST, turn: 90 })
  expect([left, right].map(Math.round)).toEqual([70, 170])
})

describe('how far a block is carried past the window', () => {
  test('is what its furthest state comes to, where the page can be scrolled to it', () => {
    expect(carriedPast([scrub({ across: px(100) })], own, scene, 300)).toEqual({ by: 20, at: { scroll: 1000 } })
    // The page ends at half of the range.
    const short = { ...scene, page: 1300 }
    expect(carriedPast([scrub({ across: px(100) })], own, short, 300)!.by).toBe(-30)
  })

  test('counts what plays by itself from its first frame, and curves that go past their ends', () => {
    const reveal = { kind: 'reveal', line: { value: 80, unit: '%' }, from: { across: px(120) }, duration: 0.6 } as Motion
    expect(carriedPast([reveal], own, scene, 300)!.by).toBe(40)
    const back = { ...reveal, from: { across: px(-120) }, easing: [0.3, 0, 0.5, 1.6] } as Motion
    expect(carriedPast([back], own, scene, 220)!.by).toBeGreaterThan(5)
    const loop = { kind: 'loop', to: { scale: 1.5 }, duration: 2 } as Motion
    expect(carriedPast([loop], own, scene, 260)!.by).toBeCloseTo(10, 0)
  })

  test('is to the left where the page scrolls to the left', () => {
    expect(carriedPast([scrub({ across: px(-100) })], own, scene, 300, true)!.by).toBe(80)
    expect(carriedPast([scrub({ across: px(-100) })], own, scene, 300)!.by).toBe(-80)
  })

  test('is nothing where no motion goes across', () => {
    expect(movesAcross(scrub({ down: px(40), opacity: 0 }))).toBe(false)
    expect(carriedPast([scrub({ down: px(40) })], own, scene, 300)).toBeUndefined()
  })
})
