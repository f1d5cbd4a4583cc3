import { describe, expect, test } from 'vitest'
import type { MotionOf } from './motion'
import { inTurn, isStaggered } from './turns'

const reveal: MotionOf<'reveal'> = {
  kind: 'reveal',
  line: { value: 75, unit: '%' },
  from: { opacity: 0 },
  duration: 0.6,
  delay: 0.2,
}

describe('what moves in turn', () => {
  test('is what has a time from one to the next', () => {
    expect(isStaggered(reveal)).toBe(false)
    expect(isStaggered({ ...reveal, apart: 0.1 })).toBe(true)
    expect(isStaggered({ kind: 'parallax', speed: 0.5 })).toBe(false)
  })

  test('waits for the block that holds it, each later by its turn', () => {
    expect(inTurn({ ...reveal, apart: 0.1 }, 0, 'holder')).toMatchObject({ of: 'holder', delay: 0.2 })
    const third = inTurn({ ...reveal, apart: 0.1 }, 2, 'holder')
    expect(third).toMatchObject({ of: 'holder' })
    expect('delay' in third && third.delay).toBeCloseTo(0.4)
    expect(third).not.toHaveProperty('apart')
  })

  test('keeps the section that it waits for, and on opening waits for none', () => {
    expect(inTurn({ ...reveal, of: 'plan', apart: 0.1 }, 1, 'holder')).toMatchObject({ of: 'plan' })
    expect(inTurn({ kind: 'opening', from: { opacity: 0 }, duration: 1, apart: 0.5 }, 1, 'holder')).toEqual({
      kind: 'opening',
      from: { opacity: 0 },
      duration: 1,
      delay: 0.5,
    })
  })
})
