import type { Block } from '#core/blocks/index'
import type { Picture } from '#core/picture/picture'
import { colourToCss } from '#core/style/css-values'
import type { FillPicture } from '#core/style/fill-layers'
import { filterToCss } from '#core/style/filters'
import type { Declaration } from '#core/style/property'
import { statesOfStyle, type StyleValues } from '#core/style/registry'
import type { Colour } from '#core/values/colour'
import { keepLast } from './declarations'

/** True where a picture's image stands in a box of its own: under a scrim, or inside a link. */
export function isBoxed(block: Block, always = false): boolean {
  if (block.kind !== 'picture') return false
  if (always && block.picture) return true
  const { base, below } = block.style
  const states = statesOfStyle(block.style).map(([, values]) => values)
  // What is zoomed or blurred goes past its edges, where a box cuts it off.
  const needs = (values: StyleValues | undefined) =>
    Boolean(values?.scrim || values?.duotone || values?.zoom || values?.filter?.blur)
  return Boolean(block.link || block.instead || needs(base) || (below && Object.values(below).some(needs)) || states.some(needs))
}

/** What printing the rules of blocks asks about pictures. */
export type PicturesPrinted = {
  find: (id: string) => Picture | undefined
  fill: FillPicture
  /** True where every image stands in a box, as one does that is offered in several types of file. */
  boxed: boolean
}

/** Properties of the image itself, where a box stands around it. */
export const OF_IMAGE: ReadonlySet<string> = new Set(['fit', 'focal', 'zoom', 'flip', 'filter'])

/** What keeps a zoomed or blurred image whole in its box: the focal point stays, and the soft edge is out of sight. */
export function addPast(image: Declaration[], { zoom, focal, flip, filter }: StyleValues): void {
  if (zoom && focal) {
    // Scaled about the focal point, but turned about the middle: so the way of that point is said, and mirrored with it.
    const way = (at: number, mirrored: boolean) => `${Number(((1 - zoom) * (at - 50) * (mirrored ? -1 : 1)).toFixed(3))}%`
    const [across, down] = [flip === 'across' || flip === 'both', flip === 'down' || flip === 'both']
    image.push(['translate', `${way(focal.x, across)} ${way(focal.y, down)}`])
  }
  const edge = 2 * (filter?.blur ?? 0)
  if (edge > 0) {
    const whole = `calc(100% + ${2 * edge}px)`
    image.push(['width', whole], ['height', whole], ['margin', `-${edge}px`])
    keepLast(image, 'height')
  }
}

/**
 * Two tones for black and white: the image in grey is multiplied with the lighter one, which lies under it, and nothing of
 * it stays darker than the darker one, which lies over it. Which of the two is the lighter is told channel by channel by
 * blending them, since a role that is dark in one style guide is pale in another (Compositing and Blending 1, 9 and 10.1).
 */
export function addDuotone(own: Declaration[], image: Declaration[], { duotone, filter }: StyleValues): void {
  if (!duotone) return
  own.push(
    ['background-color', colourToCss(duotone.dark)],
    ['background-image', flat(duotone.light)],
    ['background-blend-mode', 'lighten'],
    ['isolation', 'isolate'],
  )
  keepLast(own, 'background-image')
  const others = filter ? filterToCss(filter) : 'none'
  image.push(['filter', others === 'none' ? 'grayscale(1)' : `grayscale(1) ${others}`], ['mix-blend-mode', 'multiply'])
  keepLast(image, 'filter')
}

/** The tint between a picture and what stands on it. */
export function scrimOf(scrim: NonNullable<StyleValues['scrim']>): Declaration[] {
  const tint = (strength: number) => colourToCss({ ...scrim.colour, alpha: strength * (scrim.colour.alpha ?? 1) })
  const background =
    scrim.from === scrim.to ? tint(scrim.from) : `linear-gradient(${scrim.angle}deg, ${tint(scrim.from)}, ${tint(scrim.to)})`
  return [
    ['content', '""'],
    ['position', 'absolute'],
    ['inset', '0'],
    ['background', background],
  ]
}

/** A colour as an image, which can be blended with the one below. */
const flat = (colour: Colour) => `linear-gradient(${colourToCss(colour)}, ${colourToCss(colour)})`

/** The darker tone of a duotone, over all that is darker. */
export const shadeOf = ({ dark, light }: NonNullable<StyleValues['duotone']>): Declaration[] => [
  ['content', '""'],
  ['position', 'absolute'],
  ['inset', '0'],
  ['z-index', '1'],
  ['background', `${flat(light)} ${colourToCss(dark)}`],
  ['background-blend-mode', 'darken'],
  ['mix-blend-mode', 'lighten'],
]
