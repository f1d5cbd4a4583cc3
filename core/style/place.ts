import { z } from 'zod'
import { lengthToCss } from './css-values'
import { type Declaration, property, type Setting } from './property'
import { reachSchema } from '#core/grid/reach'
import { MOST_ROWS, rowSizesCss, rowSizesSchema } from './row-sizes'
import { type Length, lengthSchema } from '#core/values/length'

const edges = z.enum(['start', 'center', 'end', 'stretch'])
const flexEdge = (value: string) => (value === 'start' || value === 'end' ? `flex-${value}` : value)

/** Places in the stacking order by name. What a group holds is laid out by it, so that they hold without a position. */
const LAYERS = { behind: '-1', usual: 'auto', raised: '1', top: '2' } as const

const length =
  (css: string) =>
  (value: Length, at: Setting): Declaration[] => [[css, lengthToCss(value, at.viewportUnit)]]

/**
 * Where a block stands and how large it is. Columns become one `grid-column`, made in `core/grid/placement`; what a
 * group says of all that it holds is written in `core/render/block-rules`.
 */
export const place = {
  layout: property({
    label: 'Layout',
    column: 'place',
    schema: z.enum(['grid', 'row', 'column', 'overlay']),
    applies: ['layout'],
    css: () => [],
  }),
  tracks: property({
    label: 'Own columns',
    column: 'place',
    schema: z.int().min(1).max(12),
    applies: ['columns'],
    css: () => [],
  }),
  span: property({
    label: 'Columns',
    column: 'place',
    placing: true,
    schema: z.int().min(1).max(24),
    applies: 'all',
    css: () => [],
  }),
  start: property({
    label: 'From column',
    column: 'place',
    placing: true,
    schema: z.int().min(1).max(24),
    applies: 'all',
    css: () => [],
  }),
  reach: property({
    label: 'Reaches',
    column: 'place',
    placing: true,
    schema: reachSchema,
    applies: ['flow', 'band'],
    // The columns of a section that reaches to both edges are as wide as the window.
    css: (value, at) =>
      value === 'full' && at.traits.has('band')
        ? [
            ['--margin', '0px'],
            ['--container', '100vw'],
          ]
        : [],
  }),
  rowSizes: property({
    label: 'Heights of rows',
    column: 'place',
    schema: rowSizesSchema,
    applies: ['columns'],
    css: (value, at) => (at.layout === 'grid' ? [['grid-template-rows', rowSizesCss(value)]] : []),
  }),
  rowSpan: property({
    label: 'Rows spanned',
    column: 'place',
    placing: true,
    schema: z.int().min(1).max(MOST_ROWS),
    applies: ['flow'],
    css: (value, at) => (at.parent === 'grid' ? [['grid-row-end', `span ${value}`]] : []),
  }),
  rowStart: property({
    label: 'From row',
    column: 'place',
    placing: true,
    schema: z.int().min(1).max(MOST_ROWS),
    applies: ['flow'],
    css: (value, at) => (at.parent === 'grid' ? [['grid-row-start', String(value)]] : []),
  }),
  gap: property({
    label: 'Gap across',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    measures: 'space',
    applies: ['layout'],
    css: (value, at) => (at.layout === 'column' || at.layout === 'overlay' ? [] : length('column-gap')(value, at)),
  }),
  rowGap: property({
    label: 'Gap down',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    measures: 'space',
    applies: ['layout'],
    css: (value, at) => (at.layout === 'overlay' ? [] : length('row-gap')(value, at)),
  }),
  justify: property({
    label: 'Along',
    column: 'place',
    schema: z.enum(['start', 'center', 'end', 'space-between']),
    applies: ['layout'],
    css: (value, at) => {
      if (at.layout === 'row') return [['justify-content', flexEdge(value)]]
      if (at.layout === 'column') return [['align-items', value === 'space-between' ? 'stretch' : flexEdge(value)]]
      return [['justify-items', value === 'space-between' ? 'stretch' : value]]
    },
  }),
  align: property({
    label: 'Across',
    column: 'place',
    schema: z.enum(['start', 'center', 'end', 'stretch', 'baseline', 'space-between']),
    applies: ['layout'],
    css: (value, at) => {
      // Nothing stands on one line with another below it.
      if (at.layout === 'column') return [['justify-content', flexEdge(value === 'baseline' ? 'start' : value)]]
      if (at.layout === 'row') return [['align-items', value === 'space-between' ? 'stretch' : flexEdge(value)]]
      if (value === 'space-between') return [['align-content', value]]
      // In a grid that is taller than its rows, the rows themselves are meant as well.
      return value === 'stretch' || value === 'baseline'
        ? [['align-items', value]]
        : [
            ['align-items', value],
            ['align-content', value],
          ]
    },
  }),
  wrap: property({
    label: 'Wraps',
    column: 'place',
    schema: z.boolean(),
    applies: ['layout'],
    css: (value, at) => (at.layout === 'row' ? [['flex-wrap', value ? 'wrap' : 'nowrap']] : []),
  }),
  scrolls: property({
    label: 'Scrolls',
    column: 'place',
    schema: z.boolean(),
    applies: ['layout'],
    css: (value, at) =>
      value && at.layout === 'row'
        ? [
            ['overflow-x', 'auto'],
            ['scroll-snap-type', 'x proximity'],
          ]
        : [],
  }),
  clips: property({
    label: 'Cut off at its sides',
    column: 'place',
    schema: z.boolean(),
    applies: ['band'],
    // Written in `core/render/anchoring`, with what else cuts off.
    css: () => [],
  }),
  itemWidth: property({
    label: 'Items at least',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    applies: ['columns'],
    css: () => [],
  }),
  rows: property({
    label: 'Rows',
    column: 'place',
    schema: z.enum(['whole', 'scroll', 'stack']),
    applies: ['rows'],
    css: (value) => (value === 'scroll' ? [['overflow-x', 'auto']] : []),
  }),
  shown: property({
    label: 'Shown',
    column: 'place',
    schema: z.boolean(),
    applies: ['flow', 'band'],
    css: (value) => (value ? [] : [['display', 'none']]),
  }),
  position: property({
    label: 'Stands',
    column: 'place',
    placing: true,
    schema: z.enum(['flow', 'backdrop', 'sticky', 'held']),
    applies: 'all',
    css: (value) => {
      if (value === 'backdrop')
        return [
          ['position', 'absolute'],
          ['inset', '0'],
          ['width', '100%'],
          ['height', '100%'],
          ['z-index', '-1'],
        ]
      if (value === 'sticky')
        return [
          ['position', 'sticky'],
          ['top', '0'],
          ['z-index', '1'],
        ]
      if (value === 'held') return [['position', 'absolute']]
      return []
    },
  }),
  top: property({
    label: 'From top',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    applies: 'all',
    css: length('top'),
  }),
  right: property({
    label: 'From right',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    applies: 'all',
    css: length('right'),
  }),
  bottom: property({
    label: 'From bottom',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    applies: 'all',
    css: length('bottom'),
  }),
  left: property({
    label: 'From left',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    applies: 'all',
    css: length('left'),
  }),
  layer: property({
    label: 'Layer',
    column: 'place',
    placing: true,
    schema: z.enum(['behind', 'usual', 'raised', 'top']),
    applies: ['flow'],
    css: (value) => [['z-index', LAYERS[value]]],
  }),
  selfJustify: property({
    label: 'In its place, across',
    column: 'place',
    placing: true,
    schema: edges,
    applies: 'all',
    css: (value, at) => {
      if (at.parent === 'column') return [['align-self', flexEdge(value)]]
      return at.parent === 'row' ? [] : [['justify-self', value]]
    },
  }),
  selfAlign: property({
    label: 'In its place, down',
    column: 'place',
    placing: true,
    schema: edges,
    applies: 'all',
    css: (value, at) => {
      if (at.parent === 'column') return []
      return [['align-self', at.parent === 'row' ? flexEdge(value) : value]]
    },
  }),
  grow: property({
    label: 'Takes the rest',
    column: 'place',
    placing: true,
    schema: z.boolean(),
    applies: 'all',
    css: (value, at) => (at.parent === 'grid' || at.parent === 'overlay' ? [] : [['flex', value ? '1 1 0' : '0 1 auto']]),
  }),
  order: property({
    label: 'Order',
    column: 'place',
    placing: true,
    schema: z.int().min(-20).max(20),
    applies: 'all',
    css: (value) => [['order', String(value)]],
  }),
  width: property({
    label: 'Width',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    applies: 'all',
    css: length('width'),
  }),
  maxWidth: property({
    label: 'At most',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    applies: 'all',
    css: length('max-width'),
  }),
  minHeight: property({
    label: 'Height, least',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    applies: 'all',
    css: length('min-height'),
  }),
  height: property({
    label: 'Height',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    applies: 'all',
    css: length('height'),
  }),
  spaceBefore: property({
    label: 'Space before',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    measures: 'space',
    applies: 'all',
    css: length('margin-block-start'),
  }),
  spaceAfter: property({
    label: 'Space after',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    measures: 'space',
    applies: 'all',
    css: length('margin-block-end'),
  }),
  spaceStart: property({
    label: 'Space left',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    measures: 'space',
    applies: ['flow'],
    css: length('margin-inline-start'),
  }),
  spaceEnd: property({
    label: 'Space right',
    column: 'place',
    placing: true,
    schema: lengthSchema,
    measures: 'space',
    applies: ['flow'],
    css: length('margin-inline-end'),
  }),
  paddingTop: property({
    label: 'Padding top',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    measures: 'space',
    applies: 'all',
    css: length('padding-block-start'),
  }),
  paddingBottom: property({
    label: 'Padding bottom',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    measures: 'space',
    applies: 'all',
    css: length('padding-block-end'),
  }),
  paddingSides: property({
    label: 'Padding sides',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    measures: 'space',
    applies: ['sides'],
    css: length('padding-inline'),
  }),
  paddingStart: property({
    label: 'Padding left',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    measures: 'space',
    applies: ['sides'],
    css: length('padding-inline-start'),
  }),
  paddingEnd: property({
    label: 'Padding right',
    column: 'place',
    least: 0,
    schema: lengthSchema,
    measures: 'space',
    applies: ['sides'],
    css: length('padding-inline-end'),
  }),
}
