import { autoColumns } from '#core/grid/auto-place'
import { placementIn } from '#core/grid/placement'
import type { PropertyName } from '#core/style/registry'
import { type At, set, takeAway, type WhyRule } from './rule'

const SIDES = ['top', 'right', 'bottom', 'left'] as const

/** True for a block under which its grid has, or may have, another row: engines let it hold to the end of the grid. */
function hasRowBelow({ block, outer, around, columns, beside, valuesOf }: At): boolean {
  const at = beside.findIndex((one) => one.id === block.id)
  if (outer !== 'grid' || at === beside.length - 1) return false
  const values = beside.map(valuesOf)
  // How many columns there are follows from the window, or which rows from more than the order.
  if (around.itemWidth !== undefined || values.some((one) => one.rowSpan ?? one.rowStart ?? one.order)) return true
  const starts = autoColumns(
    values.map(({ span, start }) => placementIn(columns, span, start)),
    columns,
  )
  return starts.some((start, n) => n > at && start <= starts[n - 1]!)
}

/** Sticky and held blocks, their distances, order, and the spaces around them. */
export const POSITION_RULES: readonly WhyRule[] = [
  ({ block, values, position }) => {
    const side = SIDES.find((one) => values[one] !== undefined)
    return side && position === 'flow'
      ? {
          property: side,
          sentence: 'Distances from an edge count for held and sticky blocks; this one is in the flow.',
          repair: { label: 'Hold it to the edges', edit: set(block, { position: 'held' }) },
        }
      : undefined
  },
  ({ block, values, position, around }) => {
    const side = (['left', 'right'] as const).find((one) => values[one] !== undefined)
    return side && position === 'sticky' && !around.scrolls
      ? {
          property: side,
          sentence: 'The page scrolls down, not across, so a sticky block is held at its top alone.',
          repair: takeAway(block, side),
        }
      : undefined
  },
  ({ block, values, position }) => {
    if (position !== 'held') return undefined
    const over = (['right', 'left', 'width'] as const).every((one) => values[one] !== undefined)
      ? 'right'
      : (['bottom', 'top', 'height'] as const).every((one) => values[one] !== undefined)
        ? 'bottom'
        : undefined
    return over
      ? {
          property: over,
          sentence: `Its other edge and its ${over === 'right' ? 'width' : 'height'} are set, and say where this one is.`,
          repair: {
            label: `Let the ${over === 'right' ? 'width' : 'height'} follow`,
            edit: set(block, over === 'right' ? { width: null } : { height: null }),
          },
        }
      : undefined
  },
  ...(
    [
      { property: 'selfJustify', edges: ['left', 'right'] },
      { property: 'selfAlign', edges: ['top', 'bottom'] },
    ] as const
  ).map(({ property, edges }): WhyRule => ({ block, values, position }) => {
    const place = values[property]
    const side = edges.find((one) => values[one] !== undefined)
    return position === 'held' && side && (place === 'start' || place === 'end')
      ? {
          property,
          sentence: `Its distance from the ${side} says where it is held.`,
          repair: { label: 'Let its place say it', edit: set(block, { [edges[0]]: null, [edges[1]]: null }) },
        }
      : undefined
  }),
  (at) => {
    const { block, values, outer, position, around } = at
    if (position !== 'sticky' || (outer !== 'grid' && outer !== 'overlay' && outer !== 'row')) return undefined
    // In a row that wraps it is as tall as its line, and sticks over the lines below.
    if ((outer === 'row' && around.wrap) || hasRowBelow(at)) return undefined
    const place = values.selfAlign ?? (around.align === 'space-between' ? 'stretch' : around.align) ?? 'stretch'
    if (place !== 'stretch' || values.height !== undefined || block.kind === 'picture' || block.kind === 'button') return undefined
    return {
      property: 'position',
      sentence: 'It is as tall as its row, so it has no room to stick in.',
      repair: { label: 'Stand at the start of the row', edit: set(block, { selfAlign: 'start' }) },
    }
  },
  ({ block, outer, position, beside, isAutoHigh, values, parent, around }) => {
    const last =
      beside.at(-1)?.id === block.id && values.order === undefined && beside.every((one) => one.style.base?.order === undefined)
    return position === 'sticky' && outer === 'column' && isAutoHigh && last && parent && around.paddingBottom === undefined
      ? {
          property: 'position',
          sentence: 'It is the last block of its column, so there is nothing below it to stay beside.',
          repair: { label: 'Make the column 800 px high', edit: set(parent, { minHeight: { value: 800, unit: 'px' } }) },
        }
      : undefined
  },
  ({ block, values, beside, position }) =>
    values.order !== undefined && position === 'flow' && beside.length < 2 && block.kind !== 'section'
      ? {
          property: 'order',
          sentence: 'It stands alone in what holds it, so there is no order.',
          repair: takeAway(block, 'order'),
        }
      : undefined,
  ({ block, values, position }) => {
    if (position !== 'held') return undefined
    const property: PropertyName | undefined =
      values.spaceAfter !== undefined && values.bottom === undefined && values.top !== undefined
        ? 'spaceAfter'
        : values.spaceBefore !== undefined && values.top === undefined && values.bottom !== undefined
          ? 'spaceBefore'
          : undefined
    return (
      property && {
        property,
        sentence: 'It is held at its other edge, and nothing stands beside it.',
        repair: takeAway(block, property),
      }
    )
  },
]
