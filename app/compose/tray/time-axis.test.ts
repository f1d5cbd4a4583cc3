import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { changeSchema, endOf, FADE, LONGEST } from '#core/blocks/change'
import { withAway } from './change-column'
import { movedTiming, shownSeconds } from './time-axis'

const part = fc.constantFrom('start' as const, 'end' as const, 'whole' as const)

describe('a time on the axis', () => {
  test('is moved as a whole, and by its ends, in steps', () => {
    const timing = { start: 0.5, duration: 1 }
    expect(movedTiming(timing, 'whole', 0.31)).toEqual({ start: 0.8, duration: 1 })
    expect(movedTiming(timing, 'start', 0.25)).toEqual({ start: 0.75, duration: 0.75 })
    expect(movedTiming(timing, 'end', -0.4)).toEqual({ start: 0.5, duration: 0.6 })
  })

  test('keeps its curve, and never ends before it begins, nor begins before the press', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2.5, noNaN: true }),
        fc.double({ min: 0.05, max: 2.5, noNaN: true }),
        part,
        fc.double({ min: -20, max: 20, noNaN: true }),
        (start, duration, which, by) => {
          const moved = movedTiming({ start, duration, easing: 'ease-in' }, which, by)
          expect(moved.start).toBeGreaterThanOrEqual(0)
          expect(moved.duration).toBeGreaterThan(0)
          expect(moved.start + moved.duration).toBeLessThanOrEqual(LONGEST + 0.051)
          expect(moved.easing).toBe('ease-in')
        },
      ),
    )
  })

  test('stands on an axis of whole halves of a second that has room after it', () => {
    expect(shownSeconds([FADE.out, FADE.in])).toBe(1)
    expect(shownSeconds([{ move: { start: 0.5, duration: 0.5 } }])).toBe(1.5)
    expect(shownSeconds([{ move: { start: 1, duration: 0.7 } }])).toBe(2)
  })
})

describe('what is not shown', () => {
  test('has times for each part that changes, and none for others', () => {
    const moved = withAway(FADE, 'across', 60)
    expect(changeSchema.parse(moved).out.move).toEqual({ start: 0, duration: 0.3, easing: 'ease-in' })
    expect(withAway(moved, 'opacity', null).out).not.toHaveProperty('opacity')
    // Both directions of an offset have one time.
    expect(Object.keys(withAway(moved, 'down', 20).in)).toEqual(['opacity', 'move'])
    expect(endOf(withAway(withAway(moved, 'opacity', null), 'across', null).out)).toBe(0)
  })
})
