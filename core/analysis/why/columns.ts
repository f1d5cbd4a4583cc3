import { hasTrait } from '#core/blocks/index'
import { placementIn } from '#core/grid/placement'
import { aLayout, set, takeAway, type WhyRule } from './rule'

/** Columns, and how a group lays out what it holds. */
export const COLUMN_RULES: readonly WhyRule[] = [
  ({ block, values, parent }) =>
    values.reach !== undefined && parent && parent.kind !== 'section'
      ? {
          property: 'reach',
          sentence: 'It stands in a group, which ends where its own columns end, so it cannot reach past them.',
          repair: takeAway(block, 'reach'),
        }
      : undefined,
  ({ block, values, reach, position }) =>
    reach !== undefined && (position === 'backdrop' || (position === 'held' && values.span === undefined))
      ? {
          property: 'reach',
          sentence:
            position === 'backdrop'
              ? 'It lies behind all of the section, from edge to edge.'
              : 'It is held to edges, and takes no columns to reach past.',
          repair: takeAway(block, 'reach'),
        }
      : undefined,
  ({ block, values, reach, columns }) =>
    reach === 'container' && values.start === undefined && (values.span ?? columns) >= columns
      ? { property: 'reach', sentence: 'It takes all columns as it is.', repair: takeAway(block, 'reach') }
      : undefined,
  ({ block, values, reach, position }) =>
    values.span !== undefined &&
    (reach === 'narrow' || reach === 'container' || reach === 'full') &&
    position !== 'backdrop' &&
    position !== 'held'
      ? {
          property: 'span',
          sentence: `It reaches ${reach === 'narrow' ? 'over the middle columns' : reach === 'full' ? 'from edge to edge' : 'over all columns'}, however many it is to take.`,
          repair: { label: `Take ${values.span} columns`, edit: set(block, { reach: null }) },
        }
      : undefined,
  ({ block, values, reach, position }) =>
    values.start !== undefined && reach !== undefined && position !== 'backdrop' && position !== 'held'
      ? {
          property: 'start',
          sentence: 'How far it reaches says where it begins.',
          repair: { label: `Begin at column ${values.start}`, edit: set(block, { reach: null }) },
        }
      : undefined,
  ({ values, parent, outer }) =>
    values.span !== undefined && parent && outer !== 'grid'
      ? {
          property: 'span',
          sentence: `Columns count in a grid; this block stands in ${aLayout(outer)}.`,
          repair: { label: 'Lay the group out as a grid', edit: set(parent, { layout: 'grid' }) },
        }
      : undefined,
  ({ block, values, parent, outer, position }) =>
    values.span !== undefined && parent && outer === 'grid' && position === 'backdrop'
      ? {
          property: 'span',
          sentence: 'It lies behind all of what holds it, so it takes no columns.',
          repair: { label: 'Put it in the flow', edit: set(block, { position: null }) },
        }
      : undefined,
  ({ block, values, outer, position, columns, around }) =>
    values.span !== undefined &&
    outer === 'grid' &&
    position !== 'backdrop' &&
    around.itemWidth === undefined &&
    values.span > columns
      ? {
          property: 'span',
          sentence: `${values.span} columns are more than the ${columns} that there are here, so it takes the full row.`,
          repair: { label: 'Take it away', edit: set(block, { span: null }) },
        }
      : undefined,
  ({ block, values, outer, around }) =>
    values.span !== undefined && outer === 'grid' && around.itemWidth !== undefined
      ? {
          property: 'span',
          sentence: 'The group makes its columns by the least width of its items, and each takes one.',
          repair: takeAway(block, 'span'),
        }
      : undefined,
  ({ block, values, parent, outer }) =>
    values.start !== undefined && parent && outer !== 'grid'
      ? {
          property: 'start',
          sentence: `A first column counts in a grid; this block stands in ${aLayout(outer)}.`,
          repair: takeAway(block, 'start'),
        }
      : undefined,
  ({ block, values, outer, columns, position, reach }) => {
    if (
      values.start === undefined ||
      outer !== 'grid' ||
      reach !== undefined ||
      position === 'backdrop' ||
      (position === 'held' && values.span === undefined)
    )
      return undefined
    const { span, start } = placementIn(columns, values.span, values.start)
    if (start !== null) return undefined
    return {
      property: 'start',
      sentence:
        span === columns
          ? 'It takes the full row, so there is no other column to begin at.'
          : `From column ${values.start} there is no room for ${span} of ${columns} columns, so it takes the next free place.`,
      repair:
        span === columns
          ? takeAway(block, 'start')
          : { label: `Begin at column ${columns - span + 1}`, edit: set(block, { start: columns - span + 1 }) },
    }
  },
  ({ block, values, layout }) =>
    values.tracks !== undefined && layout !== 'grid' && !hasTrait(block.kind, 'band')
      ? {
          property: 'tracks',
          sentence: `Own columns count in a grid; this is ${aLayout(layout)}.`,
          repair: { label: 'Lay it out as a grid', edit: set(block, { layout: 'grid' }) },
        }
      : undefined,
  ({ block, values, layout }) =>
    values.rowSizes !== undefined && layout !== 'grid'
      ? {
          property: 'rowSizes',
          sentence: `Rows have heights in a grid; this is ${aLayout(layout)}.`,
          repair: { label: 'Lay it out as a grid', edit: set(block, { layout: 'grid' }) },
        }
      : undefined,
  ...(['rowSpan', 'rowStart'] as const).map(
    (property): WhyRule =>
      ({ block, values, parent, outer }) =>
        values[property] !== undefined && parent && outer !== 'grid'
          ? {
              property,
              sentence: `Rows count in a grid; this block stands in ${aLayout(outer)}.`,
              repair: takeAway(block, property),
            }
          : undefined,
  ),
  ({ block, values, layout }) =>
    values.tracks !== undefined && layout === 'grid' && values.itemWidth !== undefined
      ? {
          property: 'tracks',
          sentence: 'The least width of the items makes the columns here, as many as have room.',
          repair: { label: `Have ${values.tracks} columns`, edit: set(block, { itemWidth: null }) },
        }
      : undefined,
  ({ block, values, layout }) =>
    values.itemWidth !== undefined && layout !== 'grid' && !(layout === 'row' && values.scrolls)
      ? {
          property: 'itemWidth',
          sentence: `A least width of items counts in a grid, and in a row that scrolls; this is ${aLayout(layout)}.`,
          repair: { label: 'Lay it out as a grid', edit: set(block, { layout: 'grid' }) },
        }
      : undefined,
  ({ block, values, layout }) =>
    values.wrap && layout !== 'row'
      ? {
          property: 'wrap',
          sentence: `Only a row wraps; this is ${aLayout(layout)}.`,
          repair: { label: 'Lay it out as a row', edit: set(block, { layout: 'row' }) },
        }
      : undefined,
  ({ block, values, layout }) =>
    values.scrolls && layout !== 'row'
      ? {
          property: 'scrolls',
          sentence: `Only a row scrolls; this is ${aLayout(layout)}.`,
          repair: { label: 'Lay it out as a row', edit: set(block, { layout: 'row' }) },
        }
      : undefined,
  ({ block, values, layout, inside }) => {
    if (values.gap === undefined) return undefined
    if (layout === 'overlay')
      return {
        property: 'gap',
        sentence: 'Blocks of an overlay lie on each other, so there is no gap.',
        repair: { label: 'Lay it out as a column', edit: set(block, { layout: 'column', gap: null, rowGap: values.gap }) },
      }
    if (layout === 'column')
      return {
        property: 'gap',
        sentence: 'A column has gaps down, none across.',
        repair: { label: 'Make it the gap down', edit: set(block, { gap: null, rowGap: values.gap }) },
      }
    if (layout === 'row' && inside.length < 2)
      return { property: 'gap', sentence: 'There are no two blocks to have a gap between them.', repair: takeAway(block, 'gap') }
    return undefined
  },
  ({ block, values, layout, inside }) => {
    if (values.rowGap === undefined || block.kind === 'list') return undefined
    if (layout === 'overlay')
      return {
        property: 'rowGap',
        sentence: 'Blocks of an overlay lie on each other, so there is no gap.',
        repair: takeAway(block, 'rowGap'),
      }
    if (layout === 'row' && !values.wrap)
      return {
        property: 'rowGap',
        sentence: 'A row that does not wrap has gaps across, none down.',
        repair: { label: 'Let it wrap', edit: set(block, { wrap: true }) },
      }
    if (inside.length < 2)
      return {
        property: 'rowGap',
        sentence: 'There are no two blocks to have a gap between them.',
        repair: takeAway(block, 'rowGap'),
      }
    return undefined
  },
  ({ block, values, layout, inside, valuesOf }) => {
    if (values.justify === undefined) return undefined
    if (inside.length === 0)
      return { property: 'justify', sentence: 'It lays out nothing yet.', repair: takeAway(block, 'justify') }
    if (layout === 'row' && !values.wrap && inside.some((one) => valuesOf(one).grow))
      return {
        property: 'justify',
        sentence: 'One of its blocks takes the rest of the row, so there is nothing to share out.',
        repair: takeAway(block, 'justify'),
      }
    return undefined
  },
]
