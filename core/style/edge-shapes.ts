import { z } from 'zod'
import { colourSchema } from '#core/values/colour'
import type { Declaration } from './property'
import { colourToCss } from './css-values'
import { svgUrl } from './shape-url'

export const EDGE_SHAPES = ['slant', 'curve', 'wave', 'steps', 'ridge'] as const

/** The shape in which a section ends against the one beside it, which has the colour. */
export const edgeShapeSchema = z.strictObject({
  shape: z.enum(EDGE_SHAPES),
  /** Px. */
  height: z.number().min(2).max(400),
  /** Width of one step or ridge, px; the others are as wide as the section. */
  every: z.number().min(4).max(1000).optional(),
  mirrored: z.literal(true).optional(),
  colour: colourSchema,
})
export type EdgeShape = z.infer<typeof edgeShapeSchema>

/** Width that a shape is drawn at where nothing is said, px. */
const EVERY = { steps: 80, ridge: 40 } as const
/** The field that shapes as wide as their section are drawn on: it is stretched to it. */
const FIELD = { width: 100, height: 100 }

/**
 * The ground that the other section takes of a field of a width and a height, as an SVG path: all below a line from its
 * left edge to its right one.
 */
export function edgePath({ shape, mirrored }: Pick<EdgeShape, 'shape' | 'mirrored'>, width: number, height: number): string {
  const x = (share: number) => Number(((mirrored ? 1 - share : share) * width).toFixed(2))
  const y = (share: number) => Number((share * height).toFixed(2))
  const rest = `L${x(1)} ${y(1)}L${x(0)} ${y(1)}Z`
  switch (shape) {
    case 'slant':
      return `M${x(0)} ${y(1)}L${x(1)} ${y(0)}${rest}`
    case 'curve':
      // One arc of a parabola: its control point lies as far past the far edge as its ends before it.
      return `M${x(0)} ${y(0)}Q${x(0.5)} ${y(2)} ${x(1)} ${y(0)}${rest}`
    case 'wave':
      return `M${x(0)} ${y(0.5)}C${x(0.25)} ${y(-0.2)} ${x(0.3)} ${y(0)} ${x(0.5)} ${y(0.5)}S${x(0.8)} ${y(1.1)} ${x(1)} ${y(0.5)}${rest}`
    case 'steps':
      return `M${x(0)} ${y(1)}L${x(0)} ${y(0.5)}L${x(0.5)} ${y(0.5)}L${x(0.5)} ${y(0)}L${x(1)} ${y(0)}${rest}`
    case 'ridge':
      return `M${x(0)} ${y(1)}L${x(0.5)} ${y(0)}${rest}`
  }
}

/** What draws an edge at the top or the bottom of a section: a layer of its own, cut to the shape. */
export function edgeToCss(edge: EdgeShape, side: 'top' | 'bottom'): Declaration[] {
  const { shape, height } = edge
  const repeats = shape === 'steps' || shape === 'ridge'
  const width = repeats ? (edge.every ?? EVERY[shape]) : FIELD.width
  const field = repeats ? { width, height } : FIELD
  // The ground lies at the outer side of the section: above it at the top, where the shape stands on its head.
  const turned = side === 'top' ? ` transform='matrix(1 0 0 -1 0 ${field.height})'` : ''
  const path = `<path d='${edgePath(edge, field.width, field.height)}'${turned}/>`
  const svg = `<svg xmlns='http://www.w3.org/2000/svg' width='${field.width}' height='${field.height}' viewBox='0 0 ${field.width} ${field.height}'${repeats ? '' : " preserveAspectRatio='none'"}>${path}</svg>`
  return [
    ['content', '""'],
    ['position', 'absolute'],
    // A hair past the section, so that no line of it is left between the two.
    ['inset', side === 'top' ? '-1px 0 auto' : 'auto 0 -1px'],
    ['height', `${height + 1}px`],
    ['background', colourToCss(edge.colour)],
    ['mask', `${svgUrl(svg)} ${repeats ? `50% 0 / ${width}px 100% repeat-x` : '0 0 / 100% 100% no-repeat'}`],
    ['pointer-events', 'none'],
  ]
}
