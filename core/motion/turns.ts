import type { Motion, MotionOf } from './motion'

/** True for a motion that the blocks inside make one after the other, and not the block that has it. */
export const isStaggered = (motion: Motion): motion is MotionOf<'reveal' | 'opening'> =>
  (motion.kind === 'reveal' || motion.kind === 'opening') && motion.apart !== undefined

/** The motion of one of those inside: later by its turn, and counted from where the block that holds it stands. */
export function inTurn(motion: MotionOf<'reveal' | 'opening'>, index: number, holder: string): Motion {
  const { apart = 0, ...rest } = motion
  const delay = (motion.delay ?? 0) + index * apart
  return rest.kind === 'reveal' ? { ...rest, of: rest.of ?? holder, delay } : { ...rest, delay }
}
