import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hasBarEnds, snapped, snapsOf, withBarEnd } from './bar-ends'
import { lanesOf } from './lanes'
import type { Motion } from './motion'
import { newMotion } from './new-motion'
import { type Box, type Scene, spanOf } from './scene'
import { restingOf } from './state'
import { coveredBy, gapOf, travelOf } from './travel'
import { motionLabel, spanInWords, whyStill } from './words'

const own: Box = { left: 0, top: 1500, width: 400, height: 200 }
const plan: Box = { left: 0, top: 1000, width: 1280, height: 600 }
const scene: Scene = { window: 800, page: 3000, section: (id) => (id === 'plan' ? plan : undefined) }

test('bars of one lane never touch', () => {
  const bar = fc
    .tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 1, max: 200 }))
    .map(([from, length]) => ({ from, to: from + length }))
  fc.assert(
    fc.property(fc.array(bar, { maxLength: 30 }), (bars) => {
      const lanes = lanesOf(bars)
      bars.forEach((a, i) =>
        bars.forEach((b, j) => {
          if (i < j && lanes[i] === lanes[j]) expect(a.to + 6 <= b.from || b.to + 6 <= a.from).toBe(true)
        }),
      )
    }),
  )
})

describe('an end of a bar', () => {
  const scrub = newMotion('scrub', false) as Extract<Motion, { kind: 'scrub' }>
  test('is where it was dragged to, whatever the motion follows', () => {
    const followed: Motion[] = [
      scrub,
      { ...scrub, range: { ...scrub.range, of: { section: 'plan' } } as never },
      newMotion('scrub', true),
      { ...newMotion('reveal', false), line: { value: 300, unit: 'px' } } as Motion,
    ]
    for (const motion of followed)
      for (const end of ['from', 'to'] as const) {
        const moved = withBarEnd(motion, end, 640, own, scene)!
        expect(spanOf(moved, own, scene)![end]).toBeCloseTo(640, 0)
      }
  })

  test('of parallax follows from where its block stands', () => {
    expect(withBarEnd(newMotion('parallax', false), 'from', 10, own, scene)).toBeUndefined()
    expect(hasBarEnds(newMotion('parallax', false))).toBe(false)
  })

  test('snaps to edges of sections at lines of the window', () => {
    const snaps = snapsOf([plan], scene)
    expect(snapped(604, snaps, 6)).toBe(600)
    expect(snapped(996, snaps, 6)).toBe(1000)
    expect(snapped(700, snaps, 6)).toBe(700)
  })
})

describe('parallax', () => {
  const motion = { kind: 'parallax', speed: 0.5 } as const
  test('travels half of what the page is scrolled by while it is in sight', () => {
    expect(travelOf(motion, own, scene)).toEqual({ least: -250, most: 250 })
  })

  test('lays itself over what is beside its way, and not over what is apart', () => {
    const below: Box = { left: 100, top: 1720, width: 200, height: 50 }
    expect(coveredBy(own, { least: -100, most: 100 }, below)).toBe(50)
    expect(coveredBy(own, { least: -100, most: 100 }, { ...below, left: 500 })).toBe(0)
  })

  test('leaves a gap where it filled what holds it, and the window shows it', () => {
    expect(gapOf(motion, own, own, scene)).toBeGreaterThan(100)
    expect(gapOf(motion, own, { ...own, top: own.top - 300 }, scene)).toBe(0)
    expect(gapOf(motion, { ...own, top: own.top - 300, height: own.height + 600 }, own, scene)).toBe(0)
    // At the top of the page the gap is scrolled away as fast as it opens.
    const first = { ...own, top: 0, height: 600 }
    expect(gapOf({ ...motion, rests: 'opening' }, first, first, scene)).toBe(0)
  })
})

describe('in words', () => {
  const said = (motion: Motion, index = 0) => {
    const span = spanOf(motion, own, scene)
    return whyStill(motion, span, restingOf(motion, index, span), scene)
  }
  const page = (begins: number, ends: number): Motion =>
    ({ ...newMotion('scrub', true), range: { of: 'page', begins, ends } }) as Motion

  test('it is said why nothing moves', () => {
    expect(said(page(400, 100))).toMatch(/ends at 100 px, and begins at 400 px/)
    expect(said(page(2500, 2600))).toMatch(/begins at 2,500 px, and the page can be scrolled to 2,200 px/)
    expect(said(page(2000, 2400))).toMatch(/50 % of its way/)
    expect(said({ ...newMotion('reveal', false), of: 'away' } as Motion)).toMatch(/not on this page/)
    expect(said(newMotion('parallax', false), 9)).toMatch(/eight motions/)
    expect(said(page(0, 400))).toBeUndefined()
  })

  test('a bar says what it does', () => {
    expect(motionLabel(newMotion('scrub', true))).toBe('scrub 1 → 1.4')
    expect(motionLabel(newMotion('reveal', true))).toBe('reveal 0 → 100 %')
    expect(motionLabel(newMotion('parallax', true))).toBe('parallax 0.6')
    expect(spanInWords(newMotion('scrub', true), { from: -20, to: 400 })).toBe('0 to 400 px')
  })
})
