import { hexOf } from '#core/colour/contrast'
import type { Filter } from '#core/style/filters'
import { type FillLayer, isGradient } from '#core/style/fill-layers'
import type { Frame } from '#core/style/frames'
import type { Mask } from '#core/style/masks'
import type { Blend } from '#core/style/blends'
import type { Colour } from '#core/values/colour'
import type { Crop, Rect } from './crop'
import type { Paint } from './painted'
import { type Rgba, rgbaOf } from './rgba'

/** A picture that is to be painted on its box. */
export type PictureLayer = {
  kind: 'picture'
  /** Where it is fetched. */
  url: string
  /** Its own size, px: what a tile or an image that is shown whole is measured by. */
  size: { width: number; height: number }
  crop: Crop
  filter?: Filter
  frame?: Frame
  /** Radii from the top left corner clockwise, px. */
  corners?: readonly number[]
  mask?: Mask
  duotone?: { dark: Rgba; light: Rgba }
  /** Width of one tile, px, where it is repeated. */
  tile?: number
}

/** One thing behind words, the rectangle counted from the top left corner of the part that is looked at, px. */
export type Layer = { rect: Rect; opacity?: number; blend?: Blend } & (
  | Omit<Extract<Paint, { kind: 'colour' }>, keyof Common>
  | Omit<Extract<Paint, { kind: 'gradient' }>, keyof Common>
  | PictureLayer
  /** A box that changes all that is behind it. */
  | { kind: 'behind'; filter: Filter }
)
type Common = { rect: Rect; opacity?: number; blend?: Blend }

/** A colour as it is painted; a role that lets all through has no hue of its own, since CSS mixes it with nothing. */
export function seenColour(colour: Colour, roles: readonly { role: string; hex: string }[]): Rgba | undefined {
  const alpha = colour.alpha ?? 1
  if ('role' in colour && alpha === 0) return { r: 0, g: 0, b: 0, a: 0 }
  const hex = hexOf(colour, roles as Parameters<typeof hexOf>[1])
  return hex === undefined ? undefined : rgbaOf(hex, alpha)
}

/** How strong grain is on the whole: the mean of its noise, as a share of black or white. */
const GRAIN = 0.35

type Around = {
  colour: (colour: Colour) => Rgba | undefined
  picture: (id: string) => { url: string; size: { width: number; height: number } } | undefined
}

/**
 * What fill layers paint on a box, the lowest first. Dots, lines and grain are finer than letters, so they count as an
 * even tint with the share of the box that they cover.
 */
export function layersOfFill(layers: readonly FillLayer[], rect: Rect, { colour, picture }: Around): Layer[] {
  return [...layers].reverse().flatMap((layer): Layer[] => {
    const common = {
      rect,
      ...(layer.opacity === undefined ? {} : { opacity: layer.opacity }),
      ...(layer.blend ? { blend: layer.blend } : {}),
    }
    if (isGradient(layer)) {
      const stops = layer.stops.flatMap((stop) => {
        const seen = colour(stop.colour)
        return seen ? [{ at: stop.at, colour: seen }] : []
      })
      if (stops.length < layer.stops.length) return []
      const { opacity: _o, blend: _b, ...shape } = layer
      return [{ ...common, kind: 'gradient', gradient: { ...shape, stops } }]
    }
    switch (layer.kind) {
      case 'picture': {
        const found = picture(layer.picture)
        const fit = layer.fit === 'contain' ? 'contain' : 'cover'
        const tile = layer.fit === 'tile' ? { tile: layer.size ?? 200 } : {}
        return found ? [{ ...common, kind: 'picture', ...found, crop: { fit, focal: { x: layer.x, y: layer.y } }, ...tile }] : []
      }
      case 'grain': {
        const shade = layer.light ? 255 : 0
        return [{ ...common, kind: 'colour', colour: { r: shade, g: shade, b: shade, a: GRAIN } }]
      }
      default: {
        const seen = colour(layer.colour)
        return seen ? [{ ...common, kind: 'colour', colour: { ...seen, a: seen.a * shareOf(layer) } }] : []
      }
    }
  })
}

/** The share of its box that a layer of one colour covers. */
function shareOf(layer: Extract<FillLayer, { colour: unknown }>): number {
  if (layer.kind === 'flat') return 1
  if (layer.kind === 'lines') return Math.min(1, layer.thick / layer.apart)
  return Math.min(1, (Math.PI * (layer.thick / 2) ** 2) / layer.apart ** 2)
}

/** True for what differs from place to place. */
export const isUneven = ({ kind }: Layer): boolean => kind === 'picture' || kind === 'gradient'
