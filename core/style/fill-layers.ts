import { short } from '#core/values/short'
import { z } from 'zod'
import { type Colour, colourSchema } from '#core/values/colour'
import { idSchema } from '#core/values/ids'
import { BLENDS } from './blends'
import { colourToCss } from './css-values'
import type { Declaration } from './property'
import { svgUrl } from './shape-url'

/** Most layers of one fill, and most stops of one gradient. */
export const MOST_FILLS = 8
const MOST_STOPS = 8

const percent = z.number().min(-100).max(200)
const opacity = z.number().min(0).max(1).optional()

/** What every layer may say: how much of it is seen, and how it mixes with those under it and with the fill. */
const common = { opacity, blend: z.enum(BLENDS).optional() }

const stops = z
  .array(z.strictObject({ at: percent, colour: colourSchema }))
  .min(2)
  .max(MOST_STOPS)
/** The space in which colours between two stops are found: OKLCH keeps them lively, sRGB mixes them as paint programs do. */
const space = z.enum(['oklch', 'srgb'])
const gradient = { ...common, stops, space }
const point = { x: percent, y: percent }
/** Degrees, as in CSS: 0 runs upwards, 90 to the right. */
const angle = z.number().min(0).max(360)

export const fillLayerSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('flat'), ...common, colour: colourSchema }),
  z.strictObject({ kind: z.literal('linear'), ...gradient, angle }),
  /** An ellipse about a point; its radii in percent of the box. */
  z.strictObject({
    kind: z.literal('radial'),
    ...gradient,
    ...point,
    across: z.number().min(1).max(300),
    down: z.number().min(1).max(300),
  }),
  z.strictObject({ kind: z.literal('conic'), ...gradient, ...point, angle }),
  z.strictObject({
    kind: z.literal('picture'),
    ...common,
    picture: idSchema,
    fit: z.enum(['cover', 'contain', 'tile']),
    x: z.number().min(0).max(100),
    y: z.number().min(0).max(100),
    /** Width of one tile, px. */
    size: z.number().min(16).max(2000).optional(),
  }),
  /** Dots or lines of one colour, so far apart and so thick, px. */
  z.strictObject({
    kind: z.literal('dots'),
    ...common,
    colour: colourSchema,
    apart: z.number().min(2).max(400),
    thick: z.number().min(0.5).max(200),
  }),
  z.strictObject({
    kind: z.literal('lines'),
    ...common,
    colour: colourSchema,
    apart: z.number().min(2).max(400),
    thick: z.number().min(0.5).max(200),
    angle,
  }),
  /** Fine noise, dark or light. */
  z.strictObject({ kind: z.literal('grain'), ...common, light: z.boolean() }),
])
export type FillLayer = z.infer<typeof fillLayerSchema>
export type FillKind = FillLayer['kind']
export type GradientLayer = Extract<FillLayer, { stops: unknown }>

/** Layers, the uppermost first, as CSS lists them. */
export const fillLayersSchema = z.array(fillLayerSchema).min(1).max(MOST_FILLS)

export const isGradient = (layer: FillLayer): layer is GradientLayer => 'stops' in layer

/** Where a picture that fills is found: one file for each density of the screen, or nothing where the site has no such picture. */
export type FillPicture = (id: string, opacity: number, width: number) => { one: string; two?: string } | undefined

/** A colour as a layer of some opacity shows it. */
const faded = (colour: Colour, by = 1): Colour => (by === 1 ? colour : { ...colour, alpha: (colour.alpha ?? 1) * by })

const stopsToCss = (layer: GradientLayer) =>
  layer.stops.map(({ at, colour }) => `${colourToCss(faded(colour, layer.opacity))} ${short(at)}%`).join(', ')

/** sRGB is what CSS takes where both ends are colours of sRGB, so it needs no word. */
const inSpace = (layer: GradientLayer) => (layer.space === 'oklch' ? ' in oklch' : '')

/** Fine noise as a picture of one tile: turbulence whose light is its opacity (Filter Effects 1, 9.20). */
function grain(light: boolean, strength: number): string {
  const shade = light ? 1 : 0
  const matrix = `0 0 0 0 ${shade} 0 0 0 0 ${shade} 0 0 0 0 ${shade} 0 0 0 ${short(strength)} 0`
  const svg = `<svg xmlns='http://www.w3.org/2000/svg' width='160' height='160'><filter id='n'><feTurbulence type='fractalNoise' baseFrequency='0.8' numOctaves='2' stitchTiles='stitch'/><feColorMatrix values='1 0 0 0 0 0 1 0 0 0 0 0 1 0 0 0 0 0 0 1'/><feColorMatrix type='luminanceToAlpha'/><feColorMatrix values='${matrix}'/></filter><rect width='160' height='160' filter='url(#n)'/></svg>`
  return svgUrl(svg)
}

/** How strong grain is at full opacity: a share of black or white. */
const GRAIN = 0.7
/** Width of the file of a picture that fills, px. */
const FILL_WIDTH = 1600

type Parts = { image: string; size: string; position: string; repeat: string }
const WHOLE = { size: 'auto', position: '0 0', repeat: 'repeat' }

function partsOf(layer: FillLayer, picture: FillPicture | undefined): Parts | undefined {
  switch (layer.kind) {
    case 'flat': {
      const colour = colourToCss(faded(layer.colour, layer.opacity))
      return { ...WHOLE, image: `linear-gradient(${colour}, ${colour})` }
    }
    case 'linear':
      return { ...WHOLE, image: `linear-gradient(${short(layer.angle)}deg${inSpace(layer)}, ${stopsToCss(layer)})` }
    case 'radial': {
      const size = `${short(layer.across)}% ${short(layer.down)}%`
      return {
        ...WHOLE,
        image: `radial-gradient(${size} at ${short(layer.x)}% ${short(layer.y)}%${inSpace(layer)}, ${stopsToCss(layer)})`,
      }
    }
    case 'conic':
      return {
        ...WHOLE,
        image: `conic-gradient(from ${short(layer.angle)}deg at ${short(layer.x)}% ${short(layer.y)}%${inSpace(layer)}, ${stopsToCss(layer)})`,
      }
    case 'dots': {
      const colour = colourToCss(faded(layer.colour, layer.opacity))
      const radius = layer.thick / 2
      return {
        ...WHOLE,
        // Half a px of the edge is soft, so that round dots are round.
        image: `radial-gradient(circle, ${colour} ${short(Math.max(0, radius - 0.25))}px, transparent ${short(radius + 0.25)}px)`,
        size: `${short(layer.apart)}px ${short(layer.apart)}px`,
      }
    }
    case 'lines': {
      const colour = colourToCss(faded(layer.colour, layer.opacity))
      return {
        ...WHOLE,
        image: `repeating-linear-gradient(${short(layer.angle)}deg, ${colour} 0 ${short(layer.thick)}px, transparent 0 ${short(layer.apart)}px)`,
      }
    }
    case 'grain':
      return { ...WHOLE, image: grain(layer.light, GRAIN * (layer.opacity ?? 1)) }
    case 'picture': {
      const found = picture?.(layer.picture, layer.opacity ?? 1, layer.fit === 'tile' ? (layer.size ?? 200) : FILL_WIDTH)
      if (!found) return undefined
      return {
        image: found.two ? `image-set(url("${found.one}") 1x, url("${found.two}") 2x)` : `url("${found.one}")`,
        size: layer.fit === 'tile' ? `${layer.size ?? 200}px` : layer.fit,
        position: `${short(layer.x)}% ${short(layer.y)}%`,
        repeat: layer.fit === 'tile' ? 'repeat' : 'no-repeat',
      }
    }
  }
}

/** One value for all layers where they agree, and nothing where that is the usual one. */
function listed(property: string, values: readonly string[], usual: string): Declaration[] {
  if (values.every((one) => one === usual)) return []
  return [[property, values.every((one) => one === values[0]) ? values[0]! : values.join(', ')]]
}

/** The backgrounds of a box, over its fill. */
export function fillLayersToCss(layers: readonly FillLayer[], picture: FillPicture | undefined): Declaration[] {
  const shown = layers.flatMap((layer) => {
    const parts = partsOf(layer, picture)
    return parts ? [{ ...parts, blend: layer.blend ?? 'normal' }] : []
  })
  if (shown.length === 0) return []
  const all = (name: keyof (typeof shown)[number]) => shown.map((one) => one[name])
  return [
    ['background-image', all('image').join(', ')],
    ...listed('background-size', all('size'), 'auto'),
    ...listed('background-position', all('position'), '0 0'),
    ...listed('background-repeat', all('repeat'), 'repeat'),
    ...listed('background-blend-mode', all('blend'), 'normal'),
  ]
}

/** Every colour that layers name. */
export const coloursOfLayers = (layers: readonly FillLayer[]): Colour[] =>
  layers.flatMap((layer) => (isGradient(layer) ? layer.stops.map((one) => one.colour) : 'colour' in layer ? [layer.colour] : []))

/** A new layer of a kind, to begin with; a picture is named besides. */
export function newFillLayer(kind: FillKind, picture?: string): FillLayer | undefined {
  const stops = [
    { at: 0, colour: { role: 'accent' } },
    { at: 100, colour: { role: 'accent', alpha: 0 } },
  ]
  const begun: Record<Exclude<FillKind, 'picture'>, FillLayer> = {
    flat: { kind: 'flat', colour: { role: 'accent' }, opacity: 0.5 },
    linear: { kind: 'linear', angle: 180, space: 'oklch', stops },
    radial: { kind: 'radial', x: 50, y: 50, across: 60, down: 60, space: 'oklch', stops },
    conic: { kind: 'conic', x: 50, y: 50, angle: 0, space: 'oklch', stops },
    dots: { kind: 'dots', colour: { role: 'ink', alpha: 0.2 }, apart: 20, thick: 3 },
    lines: { kind: 'lines', colour: { role: 'ink', alpha: 0.15 }, apart: 12, thick: 1, angle: 45 },
    grain: { kind: 'grain', light: false, opacity: 0.2 },
  }
  if (kind !== 'picture') return begun[kind]
  return picture === undefined ? undefined : { kind, picture, fit: 'cover', x: 50, y: 50 }
}
