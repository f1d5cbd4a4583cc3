import { keyOf, reachOf, type WidthFinding } from './find'

/**
 * What a change that mends a finding costs: what is found then that was not, or holds at more widths than before. Free where
 * that is nothing.
 * @param before what was found in the section that is changed; `after` what is found in it then
 * @returns nothing where it mends nothing: the finding is still there, or there is another fault, or one at more widths
 */
export function priceOf(
  finding: WidthFinding,
  before: readonly WidthFinding[],
  after: readonly WidthFinding[],
): WidthFinding[] | undefined {
  const reach = new Map(before.map((one) => [keyOf(one), reachOf(one)]))
  const price = after.filter((one) => reachOf(one) > (reach.get(keyOf(one)) ?? 0))
  const isStill = after.some((one) => keyOf(one) === keyOf(finding))
  return isStill || price.some((one) => one.fault) ? undefined : price
}
