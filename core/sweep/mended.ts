import { keyOf, reachOf, type WidthFinding } from './find'

/**
 * True if a change mended a finding and made no other: what was found before and is left holds at no more widths.
 * @param before what was found in the section that is changed; `after` what is found in it then
 */
export function isMended(finding: WidthFinding, before: readonly WidthFinding[], after: readonly WidthFinding[]): boolean {
  const reach = new Map(before.map((one) => [keyOf(one), reachOf(one)]))
  return after.every((one) => keyOf(one) !== keyOf(finding) && reachOf(one) <= (reach.get(keyOf(one)) ?? 0))
}
