import { short } from '#core/values/short'
import { CURVES, type Curve, type Easing } from './curves'

export const curveOf = (easing: Easing): Curve => (typeof easing === 'string' ? CURVES[easing] : easing)

export const easingToCss = (easing: Easing): string =>
  typeof easing === 'string' ? easing : `cubic-bezier(${easing.map(short).join(', ')})`

/** One coordinate of the curve at a parameter, its ends being 0 and 1. */
const along = (a: number, b: number, t: number) => ((1 - t) * 3 * a + t * 3 * b) * (1 - t) * t + t ** 3

/**
 * How far a motion has come, given the share of its time that has passed. The parameter is found by halving, which comes to
 * within a millionth in twenty steps wherever the curve is.
 * @param share 0 to 1; what is outside is held at the ends
 */
export function ease(easing: Easing, share: number): number {
  if (share <= 0) return 0
  if (share >= 1) return 1
  const [x1, y1, x2, y2] = curveOf(easing)
  if (x1 === y1 && x2 === y2) return share
  let [low, high] = [0, 1]
  for (let step = 0; step < 24; step++) {
    const middle = (low + high) / 2
    if (along(x1, x2, middle) < share) low = middle
    else high = middle
  }
  return along(y1, y2, (low + high) / 2)
}
