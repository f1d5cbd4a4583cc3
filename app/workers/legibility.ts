import { expose } from 'comlink'
import type { Rect, Size } from '#core/legibility/crop'
import type { Layer } from '#core/legibility/layers'
import { type Heat, heatOf, leastStrength, type Legibility, legibilityOf } from '#core/legibility/legibility'
import { ground, type Paint, paintOver } from '#core/legibility/painted'
import type { Rgba } from '#core/legibility/rgba'
import type { Blend } from '#core/style/blends'
import { filterToCss } from '#core/style/filters'
import { bitmapOf, filteredBehind, paintPicture } from './paint-picture'

/** What lies behind a part of a view. */
export type Behind = {
  /** Px that are looked at, across and down. */
  part: Size
  /** The colour under all else. */
  ground: Rgba
  /** The lowest first. */
  layers: readonly Layer[]
}

/** Words over something, to be measured. */
export type Over = Behind & { lines: readonly Rect[]; patch: number; ink: Rgba; blend?: Blend | undefined }

/** Words over something that are to be mended, if they cannot be read. */
export type Measuring = Over & {
  needed: number
  /** Which layers a scrim would lie between, and which of them are the present one. */
  scrim: { after: number; instead: number; rect: Rect; colour: Rgba; angle: number }
  /** Other inks that the guide has. */
  inks: readonly { role: string; colour: Rgba }[]
  /** Other places for the words, px across. */
  places: readonly { start: number; across: number }[]
}

/** What was measured, and what would mend it, as far as something does. */
export type Measured = {
  found: Legibility
  /** The least scrims: even, and from the side of the words. */
  even?: number
  sided?: number
  /** The least blur of the picture, px. */
  blur?: number
  inks?: { role: string; ratio: number }[]
  /** The place where the words can be read best. */
  place?: { start: number; ratio: number }
}

const BLURS = [2, 4, 8, 12, 16, 24, 32, 48]

/** A layer as it can be painted at once. */
async function paintOf(layer: Layer, part: Size): Promise<Paint> {
  if (layer.kind !== 'picture') return layer as Paint
  const { rect, opacity, blend } = layer
  const pixels = paintPicture(await bitmapOf(layer.url), layer, rect, part)
  return { kind: 'pixels', pixels, rect, ...(opacity === undefined ? {} : { opacity }), ...(blend ? { blend } : {}) }
}

async function paintAll(pixels: Uint8ClampedArray, part: Size, layers: readonly Layer[]): Promise<Uint8ClampedArray> {
  const out = new Uint8ClampedArray(pixels)
  for (const layer of layers) {
    if (layer.kind === 'behind') filteredBehind(out, part, layer.rect, filterToCss(layer.filter))
    else paintOver(out, part, await paintOf(layer, part))
  }
  return out
}

/** Measures words over pictures and gradients away from the screen, so that nothing waits for it. */
const legibility = {
  async of(asked: Measuring): Promise<Measured | undefined> {
    const { part, layers, needed, scrim } = asked
    const base = ground(part, asked.ground)
    const pixels = await paintAll(base, part, layers)
    const found = legibilityOf({ ...asked, pixels })
    if (!found || found.worst.ratio >= needed) return found && { found }
    const ratioOf = (seen: Uint8ClampedArray) => legibilityOf({ ...asked, pixels: seen })?.worst.ratio ?? 0
    // Another scrim takes the place of the present one; what else lies over the picture stays.
    const under = await paintAll(base, part, layers.slice(0, scrim.after - scrim.instead))
    const above = await Promise.all(
      layers.slice(scrim.after).map(async (one) => (one.kind === 'behind' ? one : await paintOf(one, part))),
    )
    const withScrim = (paint: Paint) => {
      const out = new Uint8ClampedArray(under)
      paintOver(out, part, paint)
      for (const one of above) {
        if (one.kind === 'behind') filteredBehind(out, part, one.rect, filterToCss(one.filter))
        else paintOver(out, part, one)
      }
      return ratioOf(out)
    }
    const { rect, colour, angle } = scrim
    const even = (strength: number): Paint => ({ kind: 'colour', colour: { ...colour, a: strength }, rect })
    const sided = (strength: number): Paint => {
      const stops = [strength, 0].map((a, i) => ({ at: i * 100, colour: { ...colour, a } }))
      return { kind: 'gradient', gradient: { kind: 'linear', angle, space: 'srgb', stops }, rect }
    }
    const inks = asked.inks
      .map(({ role, colour: ink }) => ({ role, ratio: legibilityOf({ ...asked, ink, pixels })!.worst.ratio }))
      .filter(({ ratio }) => ratio >= needed)
      .sort((a, b) => b.ratio - a.ratio)
    const places = asked.places
      .map(({ start, across }) => ({ start, across, ratio: movedRatio(asked, pixels, across) }))
      .filter(({ ratio }) => ratio >= needed)
      .sort((a, b) => Math.abs(a.across) - Math.abs(b.across))
    return {
      found,
      even: leastStrength(needed, (strength) => withScrim(even(strength))),
      sided: leastStrength(needed, (strength) => withScrim(sided(strength))),
      blur: await leastBlur(asked, ratioOf),
      inks: inks.slice(0, 3),
      ...(places[0] ? { place: places[0] } : {}),
    }
  },

  /** The contrast of the words alone: what would mend them is not looked for. */
  async worst(asked: Over): Promise<Legibility | undefined> {
    return legibilityOf({ ...asked, pixels: await paintAll(ground(asked.part, asked.ground), asked.part, asked.layers) })
  },

  /** The contrast of an ink everywhere in a part, in cells of a side, px. */
  async heat(asked: Behind & { ink: Rgba; patch: number }): Promise<Heat> {
    const pixels = await paintAll(ground(asked.part, asked.ground), asked.part, asked.layers)
    return heatOf({ ...asked, pixels })
  },
}

/** Contrast of the words if they stood elsewhere; nought where that is out of sight. */
function movedRatio(asked: Measuring, pixels: Uint8ClampedArray, across: number): number {
  const lines = asked.lines.map((line) => ({ ...line, left: line.left + across }))
  const fits = lines.every((line) => line.left >= -1 && line.left + line.width <= asked.part.width + 1)
  return fits ? (legibilityOf({ ...asked, lines, pixels })?.worst.ratio ?? 0) : 0
}

/** The least blur of the uppermost picture that is enough, px. */
async function leastBlur(asked: Measuring, ratioOf: (pixels: Uint8ClampedArray) => number): Promise<number | undefined> {
  const { part, layers, needed } = asked
  const at = layers.findLastIndex((one) => one.kind === 'picture')
  const picture = layers[at]
  if (picture?.kind !== 'picture') return undefined
  for (const blur of BLURS) {
    if (blur <= (picture.filter?.blur ?? 0)) continue
    const blurred = layers.map((one, i) => (i === at ? { ...picture, filter: { ...picture.filter, blur } } : one))
    if (ratioOf(await paintAll(ground(part, asked.ground), part, blurred)) >= needed) return blur
  }
  return undefined
}

export type LegibilityWorker = typeof legibility

expose(legibility)
