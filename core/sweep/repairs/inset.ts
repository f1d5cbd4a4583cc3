import { pixels } from '#core/values/length'
import type { Remedy, RemedyMaker } from './remedy'

/** Space between words and the edge of what they stand on, px, where nothing else is usual. */
const USUAL = 16
const SIDES = ['paddingTop', 'paddingBottom', 'paddingStart', 'paddingEnd'] as const

/** The ground under words gets the space at its edges that is usual: that of a new block, or the same on all sides. */
export const inset: RemedyMaker = ({ finding: { beside }, block, values, around }) => {
  const ground = [{ block, values }, ...around].find((one) => one.block.id === (beside ?? block.id))
  if (!ground) return []
  const set = SIDES.filter((side) => ground.values[side] !== undefined)
  const cleared: Remedy[] =
    set.length === 0
      ? []
      : [
          {
            label: 'The usual space at its edges',
            block: ground.block.id,
            values: Object.fromEntries(set.map((side) => [side, null])),
          },
        ]
  const sides = ground.block.kind === 'section' ? SIDES.slice(0, 2) : SIDES
  const px = ground.block.kind === 'section' ? 3 * USUAL : USUAL
  return [
    ...cleared,
    {
      label: `${px} px at its edges`,
      block: ground.block.id,
      values: Object.fromEntries(sides.map((side) => [side, pixels(px)])),
    },
  ]
}
