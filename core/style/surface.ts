import { z } from 'zod'
import { colourToCss, lengthToCss, shadowToCss } from './css-values'
import { contactShadow } from './light'
import { property } from './property'
import { colourSchema, shadowSchema } from '#core/values/colour'
import { lengthSchema } from '#core/values/length'

/** How a block mixes with what lies under it (Compositing and Blending 1, 10). */
export const BLENDS = [
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
] as const

const gradientSchema = z.strictObject({
  angle: z.number().min(0).max(360),
  from: colourSchema,
  to: colourSchema,
})

/** Colours, edges, corners and shadows of a block's box. */
export const surface = {
  ink: property({
    label: 'Ink',
    column: 'surface',
    schema: colourSchema,
    applies: ['ink'],
    onHover: true,
    css: (value) => [['color', colourToCss(value)]],
  }),
  fill: property({
    label: 'Fill',
    column: 'surface',
    schema: colourSchema,
    applies: ['box'],
    onHover: true,
    css: (value) => [['background-color', colourToCss(value)]],
  }),
  gradient: property({
    label: 'Gradient',
    column: 'surface',
    schema: gradientSchema,
    applies: ['gradient'],
    css: ({ angle, from, to }) => [['background-image', `linear-gradient(${angle}deg, ${colourToCss(from)}, ${colourToCss(to)})`]],
  }),
  edgeWidth: property({
    label: 'Edge',
    column: 'surface',
    schema: z.number().min(0).max(60),
    applies: ['box', 'line'],
    css: (value, at) => (at.traits.has('line') ? [['border-block-start-width', `${value}px`]] : [['border-width', `${value}px`]]),
  }),
  edgeSides: property({
    label: 'Edge on',
    column: 'surface',
    schema: z.enum(['all', 'top', 'bottom', 'left', 'right', 'top-bottom']),
    applies: ['box'],
    css: (value) => [['border-style', EDGE_SIDES[value]]],
  }),
  edgeColour: property({
    label: 'Edge colour',
    column: 'surface',
    schema: colourSchema,
    applies: ['box', 'line'],
    onHover: true,
    css: (value) => [['border-color', colourToCss(value)]],
  }),
  corner: property({
    label: 'Corners',
    column: 'surface',
    least: 0,
    schema: lengthSchema,
    measures: 'corner',
    applies: ['box'],
    css: (value) => [['border-radius', lengthToCss(value)]],
  }),
  corners: property({
    label: 'Corners one by one',
    column: 'surface',
    /** Px, from the top left one clockwise. */
    schema: z.array(z.number().min(0).max(2000)).length(4),
    applies: ['box'],
    css: (value) => [['border-radius', value.map((one) => (one === 0 ? '0' : `${one}px`)).join(' ')]],
  }),
  shadow: property({
    label: 'Shadow',
    column: 'surface',
    schema: shadowSchema,
    applies: ['box'],
    onHover: true,
    css: (value) => [['box-shadow', shadowToCss(value)]],
  }),
  contact: property({
    label: 'Contact shadow',
    column: 'surface',
    schema: z.strictObject({ height: z.number().min(1).max(200), colour: colourSchema }),
    applies: ['contact'],
    css: ({ height, colour }) => [['border-image', contactShadow(height, colourToCss(colour))]],
  }),
  opacity: property({
    label: 'Opacity',
    column: 'surface',
    schema: z.number().min(0).max(1),
    applies: 'all',
    onHover: true,
    css: (value) => [['opacity', String(value)]],
  }),
  blend: property({
    label: 'Blends',
    column: 'surface',
    schema: z.enum(BLENDS),
    applies: 'all',
    css: (value) => [['mix-blend-mode', value]],
  }),
  backdropBlur: property({
    label: 'Blurs what is behind',
    column: 'surface',
    /** Px. */
    schema: z.number().min(0).max(60),
    applies: ['box'],
    css: (value) => [['backdrop-filter', value === 0 ? 'none' : `blur(${value}px)`]],
  }),
  underline: property({
    label: 'Underline',
    column: 'states',
    schema: z.boolean(),
    applies: ['underline'],
    onHover: true,
    css: (value) => [['text-decoration-line', value ? 'underline' : 'none']],
  }),
  lift: property({
    label: 'Lift',
    column: 'states',
    schema: z.number().min(-20).max(20),
    applies: ['lift'],
    onHover: true,
    css: (value) => [['translate', value === 0 ? '0' : `0 ${-value}px`]],
  }),
}

/** `border-style` of the four sides, in CSS order: top, right, bottom, left. */
const EDGE_SIDES = {
  all: 'solid',
  top: 'solid none none',
  bottom: 'none none solid',
  left: 'none none none solid',
  right: 'none solid none none',
  'top-bottom': 'solid none',
} as const
