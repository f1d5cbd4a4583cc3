import { motionsOf } from '#core/style/motions-of'
import { statesOfStyle } from '#core/style/registry'
import type { Block } from '#core/blocks/index'
import { isContainer, walk } from '#core/blocks/tree'
import { reachOf, sidesOf } from '#core/grid/reach'
import type { Declaration } from '#core/style/property'
import type { StyleValues } from '#core/style/registry'

const isOut = (values: StyleValues | undefined) => values?.position === 'held' || values?.position === 'backdrop'

/** True if the values of a block inside are such at any range of widths. */
const someInside = (block: Block, are: (values: StyleValues | undefined) => boolean): boolean =>
  isContainer(block) && block.children.some(({ style }) => are(style.base) || Object.values(style.below ?? {}).some(are))

/** True if a block inside is taken out of the flow, so that the container must be what it is measured from. */
const anchors = (block: Block): boolean => someInside(block, isOut)

/** True if a block inside goes past the columns to an edge of the window. */
const bleeds = (block: Block): boolean =>
  block.kind === 'section' && someInside(block, (values) => sidesOf(reachOf(values?.reach)) > 0)

/** True if a block somewhere inside lays a scrim over all that is around it. */
export const shadesAround = (block: Block): boolean =>
  block.kind === 'section' &&
  [...walk(block)].some(({ style }) => style.base?.around || Object.values(style.below ?? {}).some((one) => one.around))

/** True if the edges of a section have shapes, at any range of widths. */
const hasShapes = ({ style: { base, below } }: Block): boolean =>
  [base, ...Object.values(below ?? {})].some((values) => values?.topShape ?? values?.bottomShape)

/** True if a block inside is on a layer behind the others. */
const holdsLow = (block: Block): boolean => someInside(block, (values) => values?.layer === 'behind')

/** True if a block that lies behind all others inside moves there, so that nothing of it may be seen elsewhere. */
export const movesBehind = (block: Block): boolean =>
  isContainer(block) &&
  block.children.some(
    ({ style }) =>
      motionsOf(style).length > 0 &&
      [style.base, ...Object.values(style.below ?? {})].some((values) => values?.position === 'backdrop'),
  )

/**
 * What holds at every width because of what a block holds or is boxed with, whatever its own settings say.
 * @param clips true if nothing inside may be seen past its edges
 */
export function addAnchoring(own: Declaration[], block: Block, values: StyleValues, boxed: boolean, clips: boolean): void {
  const anchored = anchors(block)
  const positioned = values.position !== undefined && values.position !== 'flow'
  if ((anchored || boxed || hasShapes(block)) && !positioned) own.push(['position', 'relative'])
  // What lies behind the others lies over the ground of what holds them all the same.
  if (anchored || holdsLow(block)) own.push(['isolation', 'isolate'])
  // Half a scroll bar of a scrim may be past the window; what moves behind all stays behind this block alone; and what motions
  // carry to the sides is cut off where that is set. Across alone, nothing scrolls, and sticky blocks hold.
  if (clips) own.push(['overflow', 'clip'])
  else if (values.clips || bleeds(block)) own.push(['overflow-x', 'clip'])
  // Else the box is as high as the image at its own ratio (CSS Box Sizing 4, 7.4: automatic minimum of a ratio).
  if (boxed && values.aspect && values.minHeight === undefined) own.push(['min-height', '0'])
  const zooms = statesOfStyle(block.style).some(([, { zoom, filter }]) => zoom ?? filter?.blur)
  if (boxed && (zooms || values.corner || values.corners || values.zoom || values.filter?.blur)) own.push(['overflow', 'hidden'])
}
