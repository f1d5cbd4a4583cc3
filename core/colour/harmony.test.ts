import { expect, test } from 'vitest'
import { rampOf } from './harmony'
import { mostChroma, oklchOf } from './oklch'

test('a ramp goes from light to dark, keeps its hue, and is never dyed where it is very light or very dark', () => {
  for (const hex of ['#3B3A9E', '#EDB700', '#2F6B57', '#C0392B']) {
    const { c, h } = oklchOf(hex)
    const ramp = rampOf(hex, 9).map(oklchOf)
    for (const [i, one] of ramp.entries()) {
      if (i > 0) expect(one.l).toBeLessThan(ramp[i - 1]!.l)
      // To what eight bits a channel can hold.
      expect(one.c).toBeLessThanOrEqual(Math.min(c, 4 * (1 - one.l), 4 * one.l) + 0.012)
      expect(one.c).toBeLessThanOrEqual(mostChroma(one.l, h) + 0.012)
      if (one.c > 0.03) expect(Math.abs(((one.h - h + 540) % 360) - 180)).toBeLessThan(6)
    }
  }
})

test('black and white have no chroma', () => {
  for (const l of [-0.1, 0, 1, 1.2]) expect(mostChroma(l, 200)).toBe(0)
  expect(mostChroma(0.6, 30)).toBeGreaterThan(0.15)
})
