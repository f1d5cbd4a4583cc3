import { hasTrait } from '#core/blocks/index'
import { pixels } from '#core/values/length'
import { LEAST_SIZE } from '../checks/small-words'
import type { RemedyMaker } from './remedy'

/** A size that grows with the window over the widths of the finding, from one that fits to what it is now. */
export const smallerWords: RemedyMaker = ({ finding: { set, ranges }, block }) => {
  if (!set || !hasTrait(block.kind, 'type')) return []
  const now = Math.round(set.size)
  const [{ from }, { to }] = [ranges[0]!, ranges.at(-1)!]
  // Where the room grows less evenly than the size, a size that grows more slowly fits.
  return (
    [
      [1, to + 1],
      [0.95, Math.round(to * 1.15)],
      [0.85, Math.round(to * 1.3)],
    ] as const
  ).flatMap(([share, end]) => {
    const least = Math.floor(set.fits * share)
    if (least < LEAST_SIZE || least >= now) return []
    const fluid = { from: { at: from, px: least }, to: { at: end, px: now } }
    return [{ label: `${least} to ${now} px`, block: block.id, values: { size: to > from ? { fluid } : pixels(least) } }]
  })
}
