import { ORIGINS } from './followed'
import type { Motion } from './motion'
import type { Pose } from './pose-schema'
import type { Posed } from './pose'
import { type Box, furthest, type Scene, spanOf } from './scene'
import { type At, restingOf, stateAt } from './state'

/** Places of each motion that are looked at besides its states: a curve may go past both ends. */
const PLACES = 16

/** Poses that a motion has a block in, besides at rest. */
function posesOf(motion: Motion): readonly Pose[] {
  switch (motion.kind) {
    case 'scrub':
      return motion.states.map((one) => one.pose)
    case 'reveal':
    case 'opening':
      return [motion.from]
    case 'loop':
      return [motion.to]
    default:
      return []
  }
}

/** True for a motion that carries, grows or turns its block, so that it may come to stand past the sides of the window. */
export const movesAcross = (motion: Motion): boolean =>
  posesOf(motion).some(({ across, scale, turn }) => (across?.value ?? 0) !== 0 || (scale ?? 1) !== 1 || (turn ?? 0) !== 0)

/** Where on the page and in time a block has to be looked at to know how far its motions carry it to the sides. */
export function placesAcross(motions: readonly Motion[], own: Box, scene: Scene): At[] {
  const last = furthest(scene)
  const reached = (scroll: number) => Math.min(last, Math.max(0, scroll))
  const shares = Array.from({ length: PLACES + 1 }, (_, n) => n / PLACES)
  return motions.flatMap((motion, index): At[] => {
    const span = spanOf(motion, own, scene)
    if (!span || !movesAcross(motion) || restingOf(motion, index, span) !== undefined) return []
    if (motion.kind === 'scrub') {
      const at = [...shares, ...motion.states.map((one) => one.at / 100)]
      return at.map((share) => ({ scroll: reached(span.from + (span.to - span.from) * share) }))
    }
    if (motion.kind === 'loop')
      return shares.map((share) => ({ scroll: reached(own.top), time: (motion.delay ?? 0) + motion.duration * share * 0.999 }))
    return shares.map((share) => ({ scroll: reached(span.from), played: share }))
  })
}

/** Where a box is turned and grown about, as shares of its width and height: what the first motion says that says so. */
function aboutOf(motions: readonly Motion[]): { x: number; y: number } {
  for (const one of motions)
    if ('origin' in one && one.origin !== undefined) {
      const [x = 50, y = 50] = ORIGINS[one.origin].split(' ').map(Number.parseFloat)
      return { x: x / 100, y: y / 100 }
    }
  return { x: 0.5, y: 0.5 }
}

/** The sides of a box that is carried, turned and grown, px from the left of the page (CSS Transforms 2, 3: in this order). */
export function sidesOf({ left, width, height }: Box, { x, scale, turn }: Posed, about = { x: 0.5, y: 0.5 }): [number, number] {
  const angle = (turn * Math.PI) / 180
  const corners = [0, 1].flatMap((across) =>
    [0, 1].map((down) => {
      const [dx, dy] = [(across - about.x) * width * scale, (down - about.y) * height * scale]
      return left + about.x * width + dx * Math.cos(angle) - dy * Math.sin(angle) + x
    }),
  )
  return [Math.min(...corners), Math.max(...corners)]
}

/** How far a block reaches past the side of a window to which its page scrolls, px, where its motions carry it furthest, and where that is. */
export type Furthest = { by: number; at: At }

/**
 * How far the motions of a block carry it past the side of the window that its page scrolls to, by its box alone.
 * @param width of the window, px
 * @param mirrored true where lines begin at the right, so that the page scrolls to the left
 * @returns the furthest, less than 0 where there is room left; nothing where no motion goes across
 */
export function carriedPast(
  motions: readonly Motion[],
  own: Box,
  scene: Scene,
  width: number,
  mirrored = false,
): Furthest | undefined {
  const about = aboutOf(motions)
  let most: Furthest | undefined
  for (const at of placesAcross(motions, own, scene)) {
    const [left, right] = sidesOf(own, stateAt(motions, own, scene, at), about)
    const by = mirrored ? -left : right - width
    if (!most || by > most.by) most = { by, at }
  }
  return most
}
