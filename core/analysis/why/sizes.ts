import type { Length } from '#core/values/length'
import { aLayout, set, takeAway, type WhyRule } from './rule'

const pxOf = (length: Length | undefined): number | undefined =>
  length && 'value' in length && length.unit === 'px' ? length.value : undefined
const isPercent = (length: Length | undefined): boolean => length !== undefined && 'unit' in length && length.unit === '%'

/** Width, height, and alignment in a block's own place. */
export const SIZE_RULES: readonly WhyRule[] = [
  ({ block, values, outer, parent, position }) =>
    values.selfJustify !== undefined && parent && outer === 'row' && position !== 'held'
      ? {
          property: 'selfJustify',
          sentence: 'In a row, the row itself shares out the width.',
          repair: takeAway(block, 'selfJustify'),
        }
      : undefined,
  ({ block, values, outer, parent, position }) =>
    values.selfAlign !== undefined && parent && outer === 'column' && position !== 'held'
      ? {
          property: 'selfAlign',
          sentence: 'In a column, height comes from what a block holds, so there is nothing to stand in.',
          repair: takeAway(block, 'selfAlign'),
        }
      : undefined,
  ({ block, values, outer, position }) => {
    if (values.selfJustify === undefined || outer === 'row' || position === 'held' || position === 'backdrop') return undefined
    const fills = isPercent(values.width) && (values.width as { value: number }).value === 100
    // An image is as wide as its place (`width: 100%`), until it is told otherwise.
    const image =
      block.kind === 'picture' && values.width === undefined && values.maxWidth === undefined && values.height === undefined
    if (values.selfJustify === 'stretch' || values.maxWidth !== undefined || !(fills || image)) return undefined
    return {
      property: 'selfJustify',
      sentence: 'It fills the width of its place, so there is nothing left to stand in.',
      repair: { label: 'Make it half as wide', edit: set(block, { width: { value: 50, unit: '%' } }) },
    }
  },
  ({ values, outer, parent, position }) =>
    values.grow !== undefined && parent && (outer === 'grid' || outer === 'overlay') && position !== 'backdrop'
      ? {
          property: 'grow',
          sentence: `Only blocks of a row or column take the rest; this one stands in ${aLayout(outer)}.`,
          repair: { label: 'Lay the group out as a row', edit: set(parent, { layout: 'row' }) },
        }
      : undefined,
  ({ block, values, outer, isAutoHigh, position }) =>
    values.grow && outer === 'column' && isAutoHigh && position === 'flow' && values.height === undefined
      ? {
          property: 'grow',
          sentence: 'The column is as high as what is in it, so there is no rest to take.',
          repair: takeAway(block, 'grow'),
        }
      : undefined,
  ({ block, values, outer, position }) =>
    values.width !== undefined && values.grow && outer === 'row' && position !== 'held' && position !== 'backdrop'
      ? {
          property: 'width',
          sentence: 'It takes the rest of the row, whatever its own width is.',
          repair: { label: 'Have its own width', edit: set(block, { grow: null }) },
        }
      : undefined,
  ({ block, values }) => {
    const [width, most] = [pxOf(values.width), pxOf(values.maxWidth)]
    if (width === undefined || most === undefined || width > most || values.grow) return undefined
    return {
      property: 'maxWidth',
      sentence: `It is ${width} px wide, so it never reaches ${most} px.`,
      repair: { label: 'Let it grow up to that', edit: set(block, { width: null }) },
    }
  },
  ({ block, values }) => {
    const [height, least] = [pxOf(values.height), pxOf(values.minHeight)]
    if (height === undefined || least === undefined || least > height) return undefined
    return {
      property: 'minHeight',
      sentence: `It is ${height} px high, which is at least ${least} px.`,
      repair: { label: 'Let it grow from that', edit: set(block, { height: null }) },
    }
  },
  ({ values, isAutoHigh, parent, position, outer }) => {
    if (!parent || !isAutoHigh || outer !== 'column' || position === 'held' || position === 'backdrop' || values.aspect)
      return undefined
    const property = isPercent(values.height) ? 'height' : isPercent(values.minHeight) ? 'minHeight' : undefined
    return (
      property && {
        property,
        sentence: 'A height in % is a share of the height of what holds it, which has none of its own.',
        repair: { label: 'Give that a height', edit: set(parent, { height: { value: 400, unit: 'px' } }) },
      }
    )
  },
  ({ block, values }) =>
    values.aspect !== undefined && pxOf(values.width) !== undefined && pxOf(values.height) !== undefined && !values.grow
      ? {
          property: 'aspect',
          sentence: 'Its width and its height are both set, so their ratio is.',
          repair: { label: 'Let the height follow', edit: set(block, { height: null }) },
        }
      : undefined,
  ({ block, values, inside, layout, outer, parent, position }) => {
    if (values.align === undefined) return undefined
    if (inside.length === 0) return { property: 'align', sentence: 'It lays out nothing yet.', repair: takeAway(block, 'align') }
    const isAuto =
      layout === 'column' &&
      parent !== undefined &&
      outer === 'column' &&
      position === 'flow' &&
      ![values.height, values.minHeight, values.grow, values.aspect].some((one) => one !== undefined)
    return isAuto
      ? {
          property: 'align',
          sentence: 'It is as high as what it holds, so there is no height to share out.',
          repair: { label: 'Make it 400 px high at least', edit: set(block, { minHeight: { value: 400, unit: 'px' } }) },
        }
      : undefined
  },
]
