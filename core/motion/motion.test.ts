import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CURVE_NAMES } from './curves'
import { ease } from './easing'
import { type Motion, type MotionKind, motionsSchema } from './motion'
import { newMotion } from './new-motion'
import { sectionsFollowed } from './followed'
import { AT_REST, mixPoses, overPose, posed, type PosePart } from './pose'
import { type Box, type Scene, spanOf } from './scene'
import { parallaxAt, restingOf, stateAt, stickyAt } from './state'

const own: Box = { left: 0, top: 1500, width: 400, height: 200 }
const plan: Box = { left: 0, top: 1000, width: 1280, height: 600 }
const scene: Scene = { window: 800, page: 5000, section: (id) => (id === 'plan' ? plan : undefined) }
const at = (motions: readonly Motion[], scroll: number, speed?: number) =>
  stateAt(motions, own, scene, speed === undefined ? { scroll } : { scroll, speed })
const scrub = (more: Partial<Extract<Motion, { kind: 'scrub' }>> = {}): Motion => ({
  kind: 'scrub',
  range: { of: 'page', begins: 100, ends: 500 },
  states: [
    { at: 0, pose: { scale: 1 } },
    { at: 100, pose: { scale: 2 } },
  ],
  ...more,
})

describe('easing', () => {
  test('begins at 0, ends at 1 and never goes back on the named curves', () => {
    for (const name of CURVE_NAMES) {
      expect(ease(name, 0)).toBe(0)
      expect(ease(name, 1)).toBe(1)
      const steps = Array.from({ length: 101 }, (_, i) => ease(name, i / 100))
      for (let i = 1; i <= 100; i++) expect(steps[i]).toBeGreaterThanOrEqual(steps[i - 1]! - 1e-9)
    }
  })

  test('of known curves is what the specification’s curve gives', () => {
    expect(ease('ease-in-out', 0.5)).toBeCloseTo(0.5, 5)
    expect(ease('ease', 0.5)).toBeCloseTo(0.8024, 3)
    expect(ease([0.5, 2, 0.5, 2], 0.5)).toBeGreaterThan(1)
  })
})

describe('parallax', () => {
  test('is in its place as its middle passes the middle of the window, and moves as much slower than the page', () => {
    const motion: Motion = { kind: 'parallax', speed: 0.6 }
    const middle = own.top + own.height / 2 - scene.window / 2
    expect(at([motion], middle).y).toBeCloseTo(0)
    expect(at([motion], middle + 100).y - at([motion], middle).y).toBeCloseTo(40)
  })

  test('that rests at the top of the page is in its place there', () => {
    const motion: Motion = { kind: 'parallax', speed: 1.5, rests: 'opening' }
    expect(at([motion], 0)).toMatchObject({ opacity: 1, scale: 1, x: 0 })
    expect(at([motion], 0).y).toBeCloseTo(0)
    expect(at([motion], 200).y).toBeCloseTo(-100)
  })

  test('goes no further than it can be seen', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 4, noNaN: true }), fc.integer({ min: -5000, max: 20_000 }), (speed, scroll) => {
        const motion = { kind: 'parallax', speed } as const
        const span = spanOf(motion, own, scene)!
        expect(Math.abs(parallaxAt(motion, span, scroll))).toBeLessThanOrEqual(
          (Math.abs(1 - speed) * (span.to - span.from)) / 2 + 1e-6,
        )
      }),
    )
  })
})

describe('a scrub', () => {
  test('follows the scroll between two states', () => {
    expect([0, 100, 200, 500, 900].map((scroll) => at([scrub()], scroll).scale)).toEqual([1, 1, 1.25, 2, 2])
  })

  test('goes through all its states, from its rest and to it', () => {
    const states = [
      { at: 25, pose: { opacity: 1 } },
      { at: 50, pose: { opacity: 0.2 } },
    ]
    const seen = [100, 200, 300, 400, 500].map((scroll) => at([scrub({ states })], scroll).opacity)
    expect(seen.map((one) => Number(one.toFixed(3)))).toEqual([1, 1, 0.2, 0.6, 1])
  })

  test('follows its own box or a section between two lines of the window', () => {
    const begins = { edge: 'top', line: { value: 100, unit: '%' } } as const
    const ends = { edge: 'bottom', line: { value: 90, unit: 'px' } } as const
    expect(spanOf(scrub({ range: { of: 'own', begins, ends } }), own, scene)).toEqual({ from: 700, to: 1610 })
    expect(spanOf(scrub({ range: { of: { section: 'plan' }, begins, ends } }), own, scene)).toEqual({ from: 200, to: 1510 })
  })
})

describe('a reveal', () => {
  const reveal: Motion = {
    kind: 'reveal',
    of: 'plan',
    line: { value: 50, unit: '%' },
    from: { opacity: 0, down: { value: 50, unit: '%' } },
    duration: 1,
    easing: 'linear',
  }
  test('waits until the section passes the line, and is at rest after', () => {
    expect(at([reveal], 599)).toMatchObject({ opacity: 0, y: 100 })
    expect(at([reveal], 600)).toEqual(AT_REST)
  })

  test('shows what is hidden at the end of the page, where its line cannot be passed', () => {
    const never = { ...scene, section: () => ({ ...plan, top: 4900 }) }
    const seen = (scroll: number) => stateAt([{ ...reveal, line: { value: 0, unit: '%' } }], own, never, { scroll }).opacity
    expect([4000, 4197, 4198, 4200].map(seen)).toEqual([0, 0, 1, 1])
  })

  test('takes its time while the page is scrolled', () => {
    expect(at([reveal], 800, 400)).toMatchObject({ opacity: expect.closeTo(0.5, 3) as number })
    expect(at([{ ...reveal, delay: 0.25 }], 800, 400).opacity).toBeCloseTo(0.25, 3)
  })
})

test('of several motions ways add up, sizes multiply, and the last opacity holds', () => {
  const states = (pose: object) => [
    { at: 0, pose },
    { at: 100, pose },
  ]
  const both = [
    scrub({ states: states({ scale: 2, opacity: 0.2, down: { value: 10, unit: 'px' } }) }),
    scrub({ states: states({ scale: 1.5, opacity: 0.6, down: { value: 5, unit: 'px' } }) }),
  ]
  expect(at(both, 300)).toMatchObject({ scale: 3, opacity: 0.6, y: 15 })
})

describe('what cannot move rests, and says why', () => {
  const why = (motion: Motion, index = 0) => restingOf(motion, index, spanOf(motion, own, scene))
  test('a range that ends before it begins, a section that is gone, one motion too many', () => {
    expect(why(scrub({ range: { of: 'page', begins: 500, ends: 100 } }))).toBe('empty')
    expect(why({ ...newMotion('reveal', false), of: 'gone' } as Motion)).toBe('gone')
    expect(why(scrub(), 8)).toBe('too-many')
    expect(why(scrub())).toBeUndefined()
  })

  test('and leaves the block as it is', () => {
    expect(at([scrub({ range: { of: 'page', begins: 500, ends: 100 } })], 300)).toEqual(AT_REST)
    expect(
      at(
        Array.from({ length: 300 }, () => scrub()),
        500,
      ).scale,
    ).toBe(2 ** 8)
  })
})

describe('what goes on and on', () => {
  const loop = (more: Partial<Extract<Motion, { kind: 'loop' }>> = {}): Motion => ({
    kind: 'loop',
    to: { turn: 90 },
    duration: 2,
    easing: 'linear',
    ...more,
  })

  test('rests where the page stands still, and goes there and back as time passes', () => {
    expect(at([loop()], 300)).toEqual(AT_REST)
    // At 100 px a second.
    expect([0, 100, 200, 300, 400].map((scroll) => at([loop()], scroll, 100).turn)).toEqual([0, 45, 90, 45, 0])
  })

  test('begins anew, or waits, where that is asked for', () => {
    expect([100, 300].map((scroll) => at([loop({ anew: true })], scroll, 100).turn)).toEqual([45, 45])
    expect([50, 100, 200].map((scroll) => at([loop({ delay: 1 })], scroll, 100).turn)).toEqual([0, 0, 45])
  })

  test('never flashes more than three times a second, whatever is asked for', () => {
    expect(motionsSchema.safeParse([loop({ duration: 0.2, to: { opacity: 0 } })]).success).toBe(false)
    expect(motionsSchema.safeParse([{ kind: 'strip', to: 'up', duration: 30 }]).success).toBe(false)
  })

  test('in a strip is what is in it, so the block itself stays', () => {
    expect(at([newMotion('strip', false)], 900, 100)).toEqual(AT_REST)
  })
})

describe('colours of the guide', () => {
  const states = [
    { at: 0, pose: {} },
    { at: 100, pose: { colours: { ink: { hex: '#ffffff' } } } },
  ]
  test('go from the role’s own to another by the share that has been scrolled, and the later motion holds', () => {
    expect(at([scrub({ states })], 200).colours).toEqual({ ink: { to: { hex: '#ffffff' }, share: 0.25 } })
    const over = scrub({ states: [{ at: 0, pose: { colours: { ink: { role: 'accent' } } } }, states[1]!] })
    expect(at([scrub({ states }), over], 300).colours.ink).toEqual({ from: { role: 'accent' }, to: { hex: '#ffffff' }, share: 0.5 })
    expect(at([scrub()], 300).colours).toEqual({})
  })

  test('are six at most', () => {
    const colours = Object.fromEntries(Array.from({ length: 7 }, (_, i) => [`role-${i}`, { hex: '#ffffff' }]))
    expect(motionsSchema.safeParse([{ kind: 'loop', to: { colours }, duration: 2 }]).error?.message).toContain('up to 6 colours')
  })
})

test('poses mix to their ends, and over nothing a pose is itself', () => {
  const way = fc.record({ value: fc.integer({ min: -500, max: 500 }), unit: fc.constantFrom('px' as const, '%' as const) })
  const pose = fc.record(
    { opacity: fc.double({ min: 0, max: 1, noNaN: true }), down: way, across: way, turn: fc.integer({ min: -90, max: 90 }) },
    { requiredKeys: [] },
  )
  fc.assert(
    fc.property(pose, pose, (a, b) => {
      const [one, other] = [posed(a, own), posed(b, own)]
      for (const [share, end] of [
        [0, one],
        [1, other],
      ] as const) {
        const mixed = mixPoses(one, other, share)
        for (const name of ['opacity', 'x', 'y', 'turn', 'scale'] as const) expect(mixed[name]).toBeCloseTo(end[name], 9)
      }
      const all = new Set<PosePart>(['opacity', 'clip'])
      expect(overPose(AT_REST, one, all)).toEqual(one)
    }),
  )
})

test('a sticky block is carried while it holds', () => {
  expect([0, 480, 500, 700, 900].map((scroll) => stickyAt(500, 20, 300, scroll))).toEqual([0, 0, 20, 220, 300])
})

test('a new motion of every kind is one that can be read', () => {
  for (const kind of ['parallax', 'reveal', 'scrub', 'opening', 'loop', 'strip'] satisfies MotionKind[])
    for (const first of [true, false]) expect(motionsSchema.parse([newMotion(kind, first)])).toHaveLength(1)
  expect(sectionsFollowed([{ ...newMotion('reveal', false), of: 'plan' } as Motion])).toEqual(['plan'])
})
