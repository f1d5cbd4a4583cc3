import type { BlockOf } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { rangeAt } from '#core/grid/columns'
import { scaled } from '#core/grid/extent'
import { type Asked, fittedSizes } from '#core/picture/fit-sizes'
import type { MeasuredBoxes } from '#core/picture/measured'
import type { Picture } from '#core/picture/picture'
import { drawnWidths, sizesAttribute, sizesOfDrawn, sourceWidths, widthsFor } from '#core/picture/sizes'
import { valueAt } from '#core/style/cascade'
import { drawnWidth } from './boxes'
import { drawnIn, shapeFactor, sightsOf, zoomAt } from './drawn'
import type { Printing } from './image'
import { extentOf } from './surround'

/** Widths of a picture's files and what says when each of them is used. */
function widthsOf(block: BlockOf<'picture'>, picture: Picture, { addresses, breakpoints, surround, drawn }: Printing) {
  const boxes = drawn(block, picture)
  const asked = measuredFor(block, picture, addresses.measured?.[block.id], breakpoints)
  // What follows the window's height hangs on more than its width.
  if (asked && !boxes?.some((one) => one.window))
    return {
      widths: widthsFor(
        asked.map((one) => one.px),
        picture.width,
      ),
      sizes: fittedSizes(asked),
    }
  if (boxes) return { widths: drawnWidths(boxes, picture.width), sizes: sizesOfDrawn(boxes, breakpoints) }
  const extents = breakpoints.map((_, index) =>
    scaled(
      extentOf(block, surround, breakpoints, index),
      shapeFactor(block, picture, breakpoints, index) * zoomAt(block, breakpoints, index),
    ),
  )
  return { widths: sourceWidths(extents, breakpoints, picture.width), sizes: sizesAttribute(extents, breakpoints) }
}

/** What a picture is asked for in the boxes that were measured; nothing where it was in none. */
function measuredFor(
  block: BlockOf<'picture'>,
  picture: Picture,
  boxes: MeasuredBoxes[string] | undefined,
  breakpoints: readonly Breakpoint[],
): Asked[] | undefined {
  const asked = (boxes ?? []).flatMap(([viewport, width, height]): Asked[] => {
    if (width < 1 || height < 1) return []
    const index = rangeAt(breakpoints, viewport)
    const fit = valueAt(block.style, 'fit', breakpoints, index) ?? 'cover'
    const px = drawnWidth({ width, height }, picture.width / picture.height, fit) * zoomAt(block, breakpoints, index)
    return [{ viewport, px }]
  })
  return asked.length > 0 ? asked : undefined
}

/** What works out the widths of pictures. It is given to the printer by exports alone: the views show one width. */
export type Sources = { widthsOf: typeof widthsOf; drawnIn: typeof drawnIn; sightsOf: typeof sightsOf }
export const SOURCES: Sources = { widthsOf, drawnIn, sightsOf }
