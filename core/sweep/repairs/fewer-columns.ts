import { isContainer } from '#core/blocks/tree'
import { pixels } from '#core/values/length'
import type { Remedy, RemedyMaker } from './remedy'

const NUMBERS = ['', 'One', 'Two', 'Three', 'Four', 'Five', 'Six']
/** Least width of items that is tried, px. */
const LEAST = [200, 260, 320]

/** Other numbers of blocks side by side: one that comes out even, mostly fewer, or as many as there is room for. */
export const fewerColumns: RemedyMaker = ({ finding: { kind }, block, values: own, layout, around }) =>
  [...(isContainer(block) ? [{ block, values: own, layout }] : []), ...around].flatMap(
    ({ block: group, values, layout: laidOut }): Remedy[] => {
      if (group.kind !== 'group' || laidOut !== 'grid') return []
      const count = group.children.filter((one) => !one.hidden).length
      const now = values.tracks ?? Infinity
      // A block that is alone in its row wants numbers that come out even, more columns as well as fewer.
      const most = kind === 'rowOfOne' ? count : Math.min(now - 1, count)
      const even = [6, 5, 4, 3, 2, 1].filter((n) => n <= most && n !== now && count % n === 0)
      return [
        ...even.slice(0, kind === 'rowOfOne' ? 3 : 2).map((n) => ({
          label: n === 1 ? 'One under the other' : `${NUMBERS[n]} across`,
          block: group.id,
          values: { tracks: n, itemWidth: null },
        })),
        ...LEAST.map((px) => ({
          label: `Items at least ${px} px`,
          block: group.id,
          values: { itemWidth: pixels(px), tracks: null },
        })),
      ]
    },
  )
