import { ease } from './easing'
import type { Motion, MotionOf } from './motion'
import { MOST_MOTIONS } from './motion'
import { AT_REST, mixPoses, overPose, partsOf, type Posed, posed, type PosePart } from './pose'
import { type Box, furthest, type Scene, type Span, spanOf } from './scene'

/** A scroll position, px; and for what plays by itself, how fast the page is scrolled there, px per second. */
export type At = {
  scroll: number
  /** Nothing where the page stands still: what plays has ended. */
  speed?: number
  /** How long loops have run, seconds, where that does not follow from the speed. */
  time?: number
  /** How much of its time what plays by itself once has played, 0 to 1, where that does not follow from the speed. */
  played?: number
}

/** Why a motion rests: it is one too many, what it follows is gone, or it ends before it begins. */
export type Resting = 'too-many' | 'gone' | 'empty'

/** Tells whether a motion moves at all, and if not, why. */
export function restingOf(motion: Motion, index: number, span: Span | undefined): Resting | undefined {
  if (index >= MOST_MOTIONS) return 'too-many'
  if (!span) return 'gone'
  return (motion.kind === 'scrub' || motion.kind === 'parallax') && span.to <= span.from ? 'empty' : undefined
}

const shareOf = ({ from, to }: Span, scroll: number) => Math.min(1, Math.max(0, (scroll - from) / (to - from)))

/** px by which parallax has moved a block from its place. */
export function parallaxAt(motion: MotionOf<'parallax'>, span: Span, scroll: number): number {
  const neutral = motion.rests === 'opening' ? span.from : (span.from + span.to) / 2
  const within = Math.min(span.to, Math.max(span.from, scroll))
  return (1 - motion.speed) * (within - neutral)
}

function scrubAt(motion: MotionOf<'scrub'>, span: Span, own: Box, scroll: number): Posed {
  const at = shareOf(span, scroll) * 100
  const states = [...motion.states].sort((a, b) => a.at - b.at)
  // Before the first state and after the last the block goes from and to its rest (CSS Animations 1, 3: implied keyframes).
  if (states[0]!.at > 0) states.unshift({ at: 0, pose: {} })
  if (states.at(-1)!.at < 100) states.push({ at: 100, pose: {} })
  const next = states.findIndex((one, i) => i > 0 && at <= one.at)
  const [a, b] = [states[next - 1]!, states[next]!]
  const share = b.at === a.at ? 1 : (at - a.at) / (b.at - a.at)
  return mixPoses(posed(a.pose, own), posed(b.pose, own), ease(motion.easing ?? 'linear', share))
}

/** px before the end of the page from which on nothing is hidden. */
const LAST = 2

/** How far a motion that plays by itself has come: 0 or 1 where the page stands still. */
function playedAt(motion: MotionOf<'reveal' | 'opening'>, span: Span, { scroll, speed, played }: At): number {
  if (played !== undefined) return ease(motion.easing ?? 'ease', played)
  // Within a hundredth of a px, since boxes are measured with that.
  if (motion.kind === 'opening') return 1
  const past = scroll - span.from + 0.01
  if (past < 0) return 0
  if (speed === undefined || speed <= 0) return 1
  const time = past / speed - (motion.delay ?? 0)
  return ease(motion.easing ?? 'ease', motion.duration === 0 ? (time >= 0 ? 1 : 0) : time / motion.duration)
}

/** A loop as far as it has come after the time that the scroll took; at rest where the page stands still. */
function loopAt(motion: MotionOf<'loop'>, own: Box, { scroll, speed, time }: At): Posed {
  const run = time ?? (speed === undefined || speed <= 0 ? 0 : scroll / speed)
  const ways = Math.max(0, run - (motion.delay ?? 0)) / motion.duration
  const share = !motion.anew && Math.floor(ways) % 2 === 1 ? 1 - (ways % 1) : ways % 1
  return mixPoses(AT_REST, posed(motion.to, own), ease(motion.easing ?? 'ease', share))
}

/** How one motion has a block look at a scroll position, and the parts that it sets; nothing where it rests. */
export function poseOf(
  motion: Motion,
  index: number,
  own: Box,
  scene: Scene,
  at: At,
): { pose: Posed; parts: ReadonlySet<PosePart> } | undefined {
  const span = spanOf(motion, own, scene)
  if (!span || restingOf(motion, index, span) !== undefined) return undefined
  switch (motion.kind) {
    case 'parallax':
      return { pose: { ...AT_REST, y: parallaxAt(motion, span, at.scroll) }, parts: new Set(['down']) }
    case 'scrub':
      return { pose: scrubAt(motion, span, own, at.scroll), parts: partsOf(motion.states.map((one) => one.pose)) }
    case 'loop':
      return { pose: loopAt(motion, own, at), parts: partsOf([motion.to]) }
    // What passes in a strip is what is in the block, which stays where it is.
    case 'strip':
      return undefined
    case 'reveal':
    case 'opening': {
      const mixed = mixPoses(posed(motion.from, own), AT_REST, playedAt(motion, span, at))
      // Nothing stays hidden at the end of the page, whose line it may not be able to pass.
      const atLast = motion.kind === 'reveal' && at.scroll >= furthest(scene) - LAST
      const pose = atLast ? { ...mixed, opacity: 1, clip: AT_REST.clip } : mixed
      return { pose, parts: partsOf([motion.from]) }
    }
  }
}

/**
 * How a block looks at a scroll position, with all its motions. Ways, turns and blurs of several add up and sizes
 * multiply; of opacities and clips the last one holds, as in CSS.
 * @param own the block's box at rest
 */
export function stateAt(motions: readonly Motion[], own: Box, scene: Scene, at: At): Posed {
  let now = AT_REST
  motions.forEach((motion, index) => {
    const one = poseOf(motion, index, own, scene, at)
    if (one) now = overPose(now, one.pose, one.parts)
  })
  return now
}

/** px by which a sticky block has been carried from its place: it holds at its distance from the top, for its way at most. */
export const stickyAt = (top: number, distance: number, way: number, scroll: number): number =>
  Math.min(Math.max(0, way), Math.max(0, scroll + distance - top))
