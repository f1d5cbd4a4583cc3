import type { Properties } from 'hast'
import type { ImageFiles } from '#core/blocks/element'
import type { BlockOf } from '#core/blocks/index'
import type { Breakpoint } from '#core/grid/breakpoint'
import { type Making, type Picture, type PictureFormat, turned } from '#core/picture/picture'
import type { MeasuredBoxes } from '#core/picture/measured'
import type { FillPicture } from '#core/style/fill-layers'
import type { Page } from '#core/site/schema'
import type { Icon } from '#core/values/icon'
import type { Link } from '#core/values/link'
import type { DrawnIn } from './drawn'
import { mediaBelow } from './rules'
import type { Sources } from './sources'
import type { Surround } from './surround'

/** Where the parts of a page are found once it is printed. */
export type Addresses = {
  /** URL of a picture, at a width in px or as it is. */
  picture: (picture: Picture, width: number | null, making?: Making) => string
  /** What works out every width that the layout needs; one picture of medium width, if nothing is said. */
  sources?: Sources
  /** Boxes that a browser measured. */
  measured?: MeasuredBoxes | undefined
  /** Where an icon is, in a file of all; each is printed where it stands, if nothing is said. */
  icon?: ((icon: Icon, centred: boolean) => string) | undefined
  /** Types of file that each picture is offered in, the lightest first; WebP alone, if nothing is said. */
  formats?: readonly PictureFormat[] | undefined
  /** Where a link leads, from the page that it stands on. */
  link: (link: Link, from: Page) => string
  /** Where the captions of a video are, in a language; nowhere, if nothing is said. */
  captions?: ((block: BlockOf<'video'>, language: string) => string) | undefined
  /** Where a page of the site is shown inside another. */
  framed?: ((page: Page) => string) | undefined
  /** Where a form sends its entries. */
  form: (form: BlockOf<'form'>) => string
}

/** What a picture's files are worked out from. */
export type Printing = {
  addresses: Addresses
  breakpoints: readonly Breakpoint[]
  surround: Surround
  drawn: DrawnIn
}

/** Width of the one picture that the views show, px. */
const VIEW_PICTURE = 1600

const TYPES = { avif: 'image/avif', webp: 'image/webp' } as const

/** The file of a picture and all its widths in one format. */
function filesOf(block: BlockOf<'picture'>, picture: Picture, printing: Printing, format?: PictureFormat): Properties {
  const { addresses } = printing
  const making: Making = { ...(block.turn ? { turn: block.turn } : {}), ...(format ? { format } : {}) }
  const at = (width: number | null) =>
    Object.keys(making).length > 0 ? addresses.picture(picture, width, making) : addresses.picture(picture, width)
  if (picture.type === 'image/svg+xml') return { src: at(null) }
  const shown = turned(picture, block.turn)
  if (!addresses.sources) return { src: at(Math.min(shown.width, VIEW_PICTURE)) }
  const { widths, sizes } = addresses.sources.widthsOf(block, shown, printing)
  const files: Properties = { src: at(widths[Math.floor(widths.length / 2)]!) }
  if (widths.length > 1) {
    files.srcSet = widths.map((width) => `${at(width)} ${width}w`).join(', ')
    files.sizes = sizes
  }
  return files
}

const size = (picture: Picture, block: BlockOf<'picture'>) => {
  const { width, height } = turned(picture, block.turn)
  return { width, height }
}

/**
 * Where an image's bytes are, in which widths, and when they are fetched; and the sources that are asked before it: other
 * pictures for ranges of widths, the narrowest first (HTML, 4.8.4.3.8), and lighter types of file.
 */
export function imageFiles(
  block: BlockOf<'picture'>,
  picture: Picture,
  find: (id: string) => Picture | undefined,
  printing: Printing,
): ImageFiles {
  const { addresses, breakpoints } = printing
  const formats = addresses.formats ?? ['webp']
  const many = addresses.sources !== undefined && formats.length > 1
  const source = (one: Picture, below: number | null, format: PictureFormat): Properties => {
    const { src, srcSet, sizes } = filesOf(block, one, printing, format === 'webp' && !many ? undefined : format)
    return {
      ...(below === null ? {} : { media: mediaBelow(below) }),
      ...(many && format !== 'own' ? { type: TYPES[format] } : {}),
      srcSet: srcSet ?? src,
      ...(sizes ? { sizes } : {}),
      ...(below === null ? {} : size(one, block)),
    }
  }
  const last = formats.at(-1)!
  const others = [...breakpoints].reverse().flatMap(({ id, below }) => {
    const other = block.instead?.[id] === undefined ? undefined : find(block.instead[id])
    return other && below !== null ? formatsFor(other, formats).map((format) => source(other, below, format)) : []
  })
  const lighter =
    many && picture.type !== 'image/svg+xml' ? formats.slice(0, -1).map((format) => source(picture, null, format)) : []
  const image = filesOf(block, picture, printing, many ? last : undefined)
  // A picture behind a section is what is seen first; the others wait until they are near.
  if (addresses.sources && picture.type !== 'image/svg+xml') {
    if (block.style.base?.position !== 'backdrop') image.loading = 'lazy'
    else image.fetchPriority = 'high'
  }
  return { image: { ...size(picture, block), ...image }, sources: [...others, ...lighter] }
}

const formatsFor = (picture: Picture, formats: readonly PictureFormat[]): readonly PictureFormat[] =>
  picture.type === 'image/svg+xml' ? ['webp'] : formats

/** Where the files of pictures that fill boxes are found: one for each density of the screen. */
export const fillPicture =
  (addresses: Addresses, find: (id: string) => Picture | undefined): FillPicture =>
  (id, opacity, width) => {
    const picture = find(id)
    if (!picture) return undefined
    const at = (px: number) => {
      const wanted = picture.type === 'image/svg+xml' && opacity === 1 ? null : Math.min(px, picture.width)
      return addresses.picture(picture, wanted, opacity === 1 ? undefined : { opacity })
    }
    const one = at(width)
    return addresses.sources && picture.width > width ? { one, two: at(2 * width) } : { one }
  }
