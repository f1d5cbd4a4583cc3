import type { Length } from '#core/values/length'

/** Largest figure of a length in any unit but columns. */
const MOST = 10_000
const MOST_COLUMNS = 24

/**
 * What a length may be, where it is not that: “0 to 10,000”, to stand after “takes”.
 * @param least its least figure; any down to the largest below nought, if it is not said
 * @returns nothing for one that is permitted, a token among them
 */
export function lengthProblem(length: Length | undefined, least = -MOST): string | undefined {
  if (!length) return 'a figure with its unit, a token, or two figures as “38 to 76”'
  if ('token' in length) return undefined
  const figures = 'fluid' in length ? [length.fluid.from.px, length.fluid.to.px] : [length.value]
  const [low, high] = 'unit' in length && length.unit === 'columns' ? [Math.max(0, least), MOST_COLUMNS] : [least, MOST]
  const unit = 'fluid' in length ? 'px' : length.unit
  return figures.every((one) => one >= low && one <= high) ? undefined : `${low} to ${high.toLocaleString('en-GB')} ${unit}`
}
