import type { Extent } from '#core/grid/extent'
import { type Block, type Container, traitsOf } from '#core/blocks/index'
import { placementIn } from '#core/grid/placement'
import { type Reach, reachOf, sidesOf } from '#core/grid/reach'
import type { Site } from '#core/site/schema'
import type { Place } from '#core/site/tree'
import type { Breakpoint } from '#core/grid/breakpoint'
import type { Layout, Setting } from '#core/style/property'
import { valueAt } from '#core/style/cascade'
import type { Length } from '#core/values/length'
import type { ViewportUnit } from '#core/style/css-values'
import type { FillPicture } from '#core/style/fill-layers'

/** What a container offers the blocks in it, for each range of widths. `key` is equal where all of it is equal. */
export type Surround = {
  key: string
  ranges: readonly { layout: Layout; columns: number; gutter: number; extent: Extent; inSection: boolean }[]
}

const DEFAULT_LAYOUT: Partial<Record<Block['kind'], Layout>> = { section: 'grid', nav: 'row' }

/** The layout of a container at one range; a group is a column and a nav a row until told otherwise. */
export function layoutAt(block: Block, breakpoints: readonly Breakpoint[], index: number): Layout {
  if (block.kind === 'section') return 'grid'
  return valueAt(block.style, 'layout', breakpoints, index) ?? DEFAULT_LAYOUT[block.kind] ?? 'column'
}

/** What a page offers its sections: the full width. */
export function pageSurround(breakpoints: readonly Breakpoint[]): Surround {
  return {
    key: 'page',
    ranges: breakpoints.map((one) => ({
      layout: 'column',
      columns: one.columns,
      gutter: one.gutter,
      extent: { v: 1, c: 0, px: 0 },
      inSection: false,
    })),
  }
}

const pxOf = (length: Length | undefined): number => (length && 'value' in length && length.unit === 'px' ? length.value : 0)

/** How far a block of a section reaches; nothing for one that stands in a group. */
export function reachAt(
  block: Block,
  { inSection }: Surround['ranges'][number],
  breakpoints: readonly Breakpoint[],
  index: number,
): Reach | undefined {
  return inSection ? reachOf(valueAt(block.style, 'reach', breakpoints, index)) : undefined
}

/** The width that a block takes inside what surrounds it, at one range. */
export function extentOf(block: Block, surround: Surround, breakpoints: readonly Breakpoint[], index: number): Extent {
  const at = surround.ranges[index]!
  const width = valueAt(block.style, 'width', breakpoints, index)
  if (width && 'value' in width && width.unit === 'px') return { v: 0, c: 0, px: width.value }
  if (valueAt(block.style, 'position', breakpoints, index) === 'backdrop') return at.extent
  if (at.layout !== 'grid') return at.extent
  const reach = reachAt(block, at, breakpoints, index)
  const { span } = columnsOf(block, surround, breakpoints, index)
  const share = span / at.columns
  // What goes past the columns takes half of what they leave of the window, at each side.
  const past = sidesOf(reach) / 2
  return {
    v: at.extent.v * share + past * (1 - at.extent.v),
    c: at.extent.c * share - past * at.extent.c,
    px: (at.extent.px + at.gutter) * share - at.gutter,
  }
}

/** What a container offers the blocks in it. */
export function surroundOf(block: Container, outer: Surround, breakpoints: readonly Breakpoint[]): Surround {
  const ranges = breakpoints.map((breakpoint, index) => {
    if (block.kind === 'section') {
      return {
        layout: 'grid' as Layout,
        columns: breakpoint.columns,
        gutter: breakpoint.gutter,
        extent: valueAt(block.style, 'reach', breakpoints, index) === 'full' ? { v: 1, c: 0, px: 0 } : { v: 0, c: 1, px: 0 },
        inSection: true,
      }
    }
    const at = outer.ranges[index]!
    const layout = layoutAt(block, breakpoints, index)
    const full = extentOf(block, outer, breakpoints, index)
    const side = (name: 'paddingStart' | 'paddingEnd') =>
      pxOf(valueAt(block.style, name, breakpoints, index) ?? valueAt(block.style, 'paddingSides', breakpoints, index))
    const sides = side('paddingStart') + side('paddingEnd')
    const extent = { ...full, px: full.px - sides }
    const tracks = valueAt(block.style, 'tracks', breakpoints, index)
    const gap = valueAt(block.style, 'gap', breakpoints, index)
    const inSection = false
    if (layout !== 'grid') return { layout, columns: 1, gutter: 0, extent, inSection }
    const least = pxOf(valueAt(block.style, 'itemWidth', breakpoints, index))
    // Its items wrap by themselves: each is one column wide, and narrower than two of them.
    if (valueAt(block.style, 'itemWidth', breakpoints, index) !== undefined)
      return {
        layout,
        columns: 1,
        gutter: gap ? pxOf(gap) : 0,
        extent: least > 0 ? { v: 0, c: 0, px: 2 * least } : extent,
        inSection,
      }
    if (tracks !== undefined) return { layout, columns: tracks, gutter: gap ? pxOf(gap) : 0, extent, inSection }
    const columns =
      at.layout === 'grid'
        ? placementIn(
            at.columns,
            valueAt(block.style, 'span', breakpoints, index),
            undefined,
            reachAt(block, at, breakpoints, index),
          ).span
        : breakpoint.columns
    return { layout, columns, gutter: at.layout === 'grid' ? at.gutter : breakpoint.gutter, extent, inSection }
  })
  const key = ranges
    .map((one) => `${one.inSection}${one.layout}${one.columns},${one.gutter},${one.extent.v},${one.extent.c},${one.extent.px}`)
    .join(';')
  return { key, ranges }
}

/** What the container of a block offers it. */
export const surroundAt = ({ breakpoints }: Pick<Site, 'breakpoints'>, { ancestors }: Pick<Place, 'ancestors'>): Surround =>
  ancestors.reduce((outer, one) => surroundOf(one, outer, breakpoints), pageSurround(breakpoints))

/** Columns that a block takes of the grid around it at one range, and how many there are; the first is `null` where it falls of itself. */
export function columnsOf(block: Block, surround: Surround, breakpoints: readonly Breakpoint[], index: number) {
  const at = surround.ranges[index]!
  const value = (name: 'span' | 'start') => valueAt(block.style, name, breakpoints, index)
  const reach = reachAt(block, at, breakpoints, index)
  return { columns: at.columns, ...placementIn(at.columns, value('span'), value('start'), reach) }
}

/** The same for a block where it stands in a site. */
export const columnsAt = (site: Pick<Site, 'breakpoints'>, place: Place, index: number) =>
  columnsOf(place.block, surroundAt(site, place), site.breakpoints, index)

/** Where a block stands at one range, for its properties. */
export function settingAt(
  block: Block,
  surround: Surround,
  breakpoints: readonly Breakpoint[],
  index: number,
  viewportUnit: ViewportUnit,
  picture?: FillPicture,
): Setting {
  const { layout, columns, inSection } = surround.ranges[index]!
  return {
    traits: traitsOf(block.kind),
    parent: layout,
    layout: layoutAt(block, breakpoints, index),
    columns,
    inSection,
    viewportUnit,
    ...(picture ? { picture } : {}),
  }
}
