import type { Properties } from 'hast'
import type { BlockOf } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { scaled } from '#core/grid/extent'
import type { Picture } from '#core/picture/picture'
import { drawnWidths, sizesAttribute, sizesOfDrawn, sourceWidths } from '#core/picture/sizes'
import type { Link } from '#core/values/link'
import { type DrawnIn, shapeFactor, zoomAt } from './drawn'
import { extentOf, type Surround } from './surround'

/** Where the parts of a page are found once it is printed. */
export type Addresses = {
  /** URL of a picture, at a width in px or as it is. */
  picture: (picture: Picture, width: number | null) => string
  /** True to offer every width that the layout needs; false for one picture of medium width. */
  sources: boolean
  link: (link: Link) => string
  /** Where a form sends its entries. */
  form: (form: BlockOf<'form'>) => string
}

/** Width of the one picture that the views show, px. */
const VIEW_PICTURE = 1600

/** Where an image's bytes are, in which widths, and when they are fetched. */
export function imageSources(
  block: BlockOf<'picture'>,
  picture: Picture,
  {
    addresses,
    breakpoints,
    surround,
    drawn,
  }: { addresses: Addresses; breakpoints: readonly Breakpoint[]; surround: Surround; drawn: DrawnIn },
): Properties {
  if (picture.type === 'image/svg+xml') return { src: addresses.picture(picture, null) }
  if (!addresses.sources) return { src: addresses.picture(picture, Math.min(picture.width, VIEW_PICTURE)) }
  const boxes = drawn(block, picture)
  const extents = boxes
    ? []
    : breakpoints.map((_, index) =>
        scaled(
          extentOf(block, surround, breakpoints, index),
          shapeFactor(block, picture, breakpoints, index) * zoomAt(block, breakpoints, index),
        ),
      )
  const widths = boxes ? drawnWidths(boxes, picture.width) : sourceWidths(extents, breakpoints, picture.width)
  const image: Properties = { src: addresses.picture(picture, widths[Math.floor(widths.length / 2)]!) }
  if (widths.length > 1) {
    image.srcSet = widths.map((width) => `${addresses.picture(picture, width)} ${width}w`).join(', ')
    image.sizes = boxes ? sizesOfDrawn(boxes, breakpoints) : sizesAttribute(extents, breakpoints)
  }
  // A picture behind a section is what is seen first; the others wait until they are near.
  if (block.style.base?.position !== 'backdrop') image.loading = 'lazy'
  else image.fetchPriority = 'high'
  return image
}
