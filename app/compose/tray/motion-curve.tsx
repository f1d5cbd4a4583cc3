import type { CurveName } from '#core/motion/curves'
import type { MotionOf } from '#core/motion/motion'
import type { MotionsAccess } from '../motion/use-motions'
import { CurveRow } from './curve-row'

type MotionCurveProps = {
  motion: MotionOf<'reveal' | 'scrub' | 'opening' | 'loop'>
  motions: MotionsAccess
  /** The curve that holds where nothing is said. */
  usual: CurveName
}

/** How a motion goes on in its time, or along its range. */
export const MotionCurve = ({ motion, motions, usual }: MotionCurveProps) => (
  <CurveRow
    label="the motion"
    easing={motion.easing ?? usual}
    onChange={(easing, gesture) => motions.change({ ...motion, easing }, gesture)}
  />
)
