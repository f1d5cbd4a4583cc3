import { columnEdges, columnWidth, contentOffset, contentWidth, rangeAt, spanWidth } from '#core/grid/columns'
import { placementIn, placementToCss } from '#core/grid/placement'
import { narrowSpan } from '#core/grid/reach'
import { solveGrid } from '#core/grid/solve'
import type { Site } from '#core/site/schema'

const WIDTHS = [280, 320, 375, 480, 640, 768, 960, 1024, 1280, 1440, 1920, 2560]

/** The columns of a site at many widths, px, and where blocks of every span and start stand on them. */
export const siteColumns = ({ breakpoints }: Site) => [
  WIDTHS.map((width) => {
    const grid = breakpoints[rangeAt(breakpoints, width)]!
    return {
      content: [contentOffset(grid, width), contentWidth(grid, width)],
      column: columnWidth(grid, width),
      edges: columnEdges(grid, width),
      spans: Array.from({ length: grid.columns }, (_, n) => spanWidth(grid, width, n + 1)),
    }
  }),
  breakpoints.map(({ columns }) => ({
    narrow: narrowSpan(columns),
    whole: solveGrid(columns, 1400),
    placements: [undefined, 1, 2, 3, 5, 8, 12, 13].flatMap((span) =>
      [undefined, 1, 2, 4, 7, 12].flatMap((start) =>
        ([undefined, 'narrow', 'full', 'left', 'right', 'container'] as const).map((reach) => {
          const placement = placementIn(columns, span, start, reach)
          return [placement, placementToCss(placement, columns)]
        }),
      ),
    ),
  })),
]
