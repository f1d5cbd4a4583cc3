import { type Motion, motionsIn } from '#core/motion/motion'
import type { Style } from './registry'

/** All motions that a style has, at whatever width, the base's first. */
export const motionsOf = ({ base, below }: Style): Motion[] =>
  [base, ...Object.values(below ?? {})].flatMap((values) => motionsIn(values?.motion))
