import type { Motion } from './motion'
import type { Pose } from './pose-schema'

/** The poses that a motion names. */
export function posesOf(motion: Motion): readonly Pose[] {
  if (motion.kind === 'scrub') return motion.states.map((one) => one.pose)
  if (motion.kind === 'loop') return [motion.to]
  return motion.kind === 'reveal' || motion.kind === 'opening' ? [motion.from] : []
}
