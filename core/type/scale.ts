import type { Fluid } from '#core/values/length'

/**
 * A modular scale at two widths: each step is the one below it times the ratio. Widths and bases in px.
 */
export type Scale = {
  base: { narrow: number; wide: number }
  ratio: { narrow: number; wide: number }
  at: { narrow: number; wide: number }
}

/** Ratios of neighbouring steps that have names in music, from which scales of type took them. */
export const RATIOS = [
  { name: 'minor second', ratio: 16 / 15 },
  { name: 'major second', ratio: 9 / 8 },
  { name: 'minor third', ratio: 6 / 5 },
  { name: 'major third', ratio: 5 / 4 },
  { name: 'perfect fourth', ratio: 4 / 3 },
  { name: 'augmented fourth', ratio: Math.SQRT2 },
  { name: 'perfect fifth', ratio: 3 / 2 },
  { name: 'golden section', ratio: (1 + Math.sqrt(5)) / 2 },
] as const

const twoPlaces = (px: number) => Math.round(px * 100) / 100

/** Size of a step, px: base × ratio^step; steps below 0 are smaller than the base. To a hundredth of a px. */
export const stepSize = (base: number, ratio: number, step: number): number => twoPlaces(base * ratio ** step)

/** A step of the scale as a fluid size, growing in a straight line from the narrow width to the wide one. */
export const stepFluid = ({ base, ratio, at }: Scale, step: number): Fluid => ({
  from: { at: at.narrow, px: stepSize(base.narrow, ratio.narrow, step) },
  to: { at: at.wide, px: stepSize(base.wide, ratio.wide, step) },
})

/** The name of a ratio, if it has one to two places. */
export const ratioName = (ratio: number): string | undefined => RATIOS.find((one) => Math.abs(one.ratio - ratio) < 0.005)?.name
