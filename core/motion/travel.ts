import type { MotionOf } from './motion'
import { type Box, furthest, type Scene, spanOf } from './scene'
import { parallaxAt } from './state'

/** px that parallax moves a block by while it is in sight: up to the least, down to the most. */
export type Travel = { least: number; most: number }

/** Scroll positions at which a block can be seen. */
function inSight(own: Box, scene: Scene): { from: number; to: number } {
  const end = furthest(scene)
  return { from: Math.min(end, Math.max(0, own.top - scene.window)), to: Math.min(end, own.top + own.height) }
}

/** How far parallax carries a block while it is in sight. It goes evenly, so its ends are those of the way. */
export function travelOf(motion: MotionOf<'parallax'>, own: Box, scene: Scene): Travel {
  const span = spanOf(motion, own, scene)!
  const { from, to } = inSight(own, scene)
  const [a, b] = [parallaxAt(motion, span, from), parallaxAt(motion, span, to)]
  return { least: Math.min(a, b), most: Math.max(a, b) }
}

/** px by which a block that travels lays itself over another that it left free; nought where it does not. */
export function coveredBy(own: Box, travel: Travel, other: Box): number {
  const apart = other.left >= own.left + own.width || own.left >= other.left + other.width
  if (apart) return 0
  const over = (top: number) => Math.max(0, Math.min(top + own.height, other.top + other.height) - Math.max(top, other.top))
  return Math.max(0, Math.max(over(own.top + travel.least), over(own.top + travel.most)) - over(own.top))
}

/** Scroll positions at which it is looked whether a gap can be seen. */
const LOOKS = 60

/**
 * px of what holds a block that it filled at rest and leaves free, where the window shows it; nought where it did not
 * fill it.
 */
export function gapOf(motion: MotionOf<'parallax'>, own: Box, holder: Box, scene: Scene): number {
  const [top, bottom] = [holder.top, holder.top + holder.height]
  if (own.top > top + 0.5 || own.top + own.height < bottom - 0.5) return 0
  const span = spanOf(motion, own, scene)!
  const { from, to } = inSight(own, scene)
  let most = 0
  for (let i = 0; i <= LOOKS; i++) {
    const scroll = from + ((to - from) * i) / LOOKS
    const moved = own.top + parallaxAt(motion, span, scroll)
    const seen = (a: number, b: number) => Math.min(b, scroll + scene.window) - Math.max(a, scroll)
    most = Math.max(most, seen(top, Math.min(bottom, moved)), seen(Math.max(top, moved + own.height), bottom))
  }
  return Math.max(0, most)
}
