import { converter, type Oklch } from 'culori'
import type { Size } from './crop'
import type { Rgba } from './rgba'

/** A gradient with its colours worked out; angles in degrees as CSS counts them, all else in percent of its box. */
export type Gradient = {
  stops: readonly { at: number; colour: Rgba }[]
  space: 'oklch' | 'srgb'
} & (
  | { kind: 'linear'; angle: number }
  | { kind: 'radial'; x: number; y: number; across: number; down: number }
  | { kind: 'conic'; x: number; y: number; angle: number }
)

const toOklch = converter('oklch')
const toRgb = converter('rgb')

/** A colour in OKLCH; without a hue where it is grey (CSS Color 4, 12.2). */
function oklchOf({ r, g, b }: Rgba): Oklch {
  const { l, c, h } = toOklch({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 })
  const grey = c < 0.0002
  return { mode: 'oklch', l, c, ...(grey || h === undefined ? {} : { h }) }
}

const mix = (from: number, to: number, share: number) => from + (to - from) * share

/** The hue between two, along the shorter way round (CSS Color 4, 12.4.1); that of the other where one has none. */
function hueBetween(from: number | undefined, to: number | undefined, share: number): number {
  if (from === undefined || to === undefined) return from ?? to ?? 0
  const way = ((to - from + 540) % 360) - 180
  return from + way * share
}

const byte = (value: number) => Math.min(255, Math.max(0, value * 255))

/** The colour between two, mixed with their opacity taken in beforehand (CSS Color 4, 12.3). */
export function colourBetween(from: Rgba, to: Rgba, share: number, space: Gradient['space']): Rgba {
  const a = mix(from.a, to.a, share)
  if (a === 0) return { r: 0, g: 0, b: 0, a: 0 }
  const of = (one: number, other: number) => mix(one * from.a, other * to.a, share) / a
  if (space === 'srgb') return { r: of(from.r, to.r), g: of(from.g, to.g), b: of(from.b, to.b), a }
  const [one, other] = [oklchOf(from), oklchOf(to)]
  const { r, g, b } = toRgb({ mode: 'oklch', l: of(one.l, other.l), c: of(one.c, other.c), h: hueBetween(one.h, other.h, share) })
  return { r: byte(r), g: byte(g), b: byte(b), a }
}

/** Places of stops, 0 to 1: none before the one that is listed earlier (CSS Images 4, 3.5.3). */
function placesOf(stops: Gradient['stops']): number[] {
  let last = -Infinity
  return stops.map(({ at }) => (last = Math.max(last, at / 100)))
}

/** Colours along a gradient that are worked out beforehand. */
const STEPS = 2048

/** The colour of a gradient at each point of its box, px. */
export function gradientIn(gradient: Gradient, box: Size): (x: number, y: number) => Rgba {
  const places = placesOf(gradient.stops)
  const [first, last] = [places[0]!, places.at(-1)!]
  const colourAt = (t: number): Rgba => {
    const after = places.findIndex((place) => place > t)
    if (after === 0) return gradient.stops[0]!.colour
    if (after < 0) return gradient.stops.at(-1)!.colour
    const [from, to] = [places[after - 1]!, places[after]!]
    return colourBetween(gradient.stops[after - 1]!.colour, gradient.stops[after]!.colour, (t - from) / (to - from), gradient.space)
  }
  const span = last - first || 1
  const table = Array.from({ length: STEPS + 1 }, (_, i) => colourAt(first + (span * i) / STEPS))
  const read = (t: number) =>
    t < first
      ? gradient.stops[0]!.colour
      : t >= last
        ? gradient.stops.at(-1)!.colour
        : table[Math.round(((t - first) / span) * STEPS)]!
  const place = placeIn(gradient, box)
  return (x, y) => read(place(x, y))
}

/** How far along a gradient each point of its box lies: 0 at its start, 1 at its end. */
function placeIn(gradient: Gradient, { width, height }: Size): (x: number, y: number) => number {
  if (gradient.kind === 'radial') {
    const [cx, cy] = [(gradient.x / 100) * width, (gradient.y / 100) * height]
    const [rx, ry] = [(gradient.across / 100) * width, (gradient.down / 100) * height]
    return (x, y) => Math.hypot((x - cx) / rx, (y - cy) / ry)
  }
  const turn = (gradient.angle * Math.PI) / 180
  if (gradient.kind === 'conic') {
    const [cx, cy] = [(gradient.x / 100) * width, (gradient.y / 100) * height]
    return (x, y) => {
      const at = (Math.atan2(x - cx, cy - y) - turn) / (2 * Math.PI)
      return at - Math.floor(at)
    }
  }
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)]
  const length = Math.abs(width * sin) + Math.abs(height * cos)
  return (x, y) => ((x - width / 2) * sin - (y - height / 2) * cos) / length + 0.5
}
