import { easingSchema } from '#core/motion/curves'
import { z } from 'zod'
import { BLENDS } from './blends'
import { colourToCss, lengthToCss, shadowToCss } from './css-values'
import { fillLayersSchema, fillLayersToCss } from './fill-layers'
import { contactShadow } from './light'
import { property } from './property'
import { edgeShapeSchema } from './edge-shapes'
import { filterSchema, filterToCss } from './filters'
import { colourSchema, shadowSchema, textShadowSchema } from '#core/values/colour'
import { lengthSchema } from '#core/values/length'

/** Four lengths in px, as short as CSS lets them be. */
const fourSides = (value: readonly number[]) => {
  const sides = value.map((one) => (one === 0 ? '0' : `${one}px`))
  return sides.every((one) => one === sides[0]) ? sides[0]! : sides.join(' ')
}

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
  fillLayers: property({
    label: 'Fill layers',
    column: 'surface',
    schema: fillLayersSchema,
    applies: ['layers'],
    css: (value, at) => fillLayersToCss(value, at.picture),
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
  edgeWidths: property({
    label: 'Edges side by side',
    column: 'surface',
    /** Px, from the top clockwise. */
    schema: z.array(z.number().min(0).max(60)).length(4),
    applies: ['box'],
    css: (value) => [['border-width', fourSides(value)]],
  }),
  edgeLine: property({
    label: 'Line of the edge',
    column: 'surface',
    schema: z.enum(['solid', 'dashed', 'dotted', 'double']),
    applies: ['box', 'line'],
    // How it meets the sides that have none is said where both are known.
    css: (value, at) => (at.traits.has('line') ? [['border-block-start-style', value]] : []),
  }),
  outline: property({
    label: 'Outline',
    column: 'surface',
    /** Width and distance from the edge, px: one below nought lies inside. */
    schema: z.strictObject({
      width: z.number().min(0.5).max(60),
      offset: z.number().min(-200).max(200),
      line: z.enum(['solid', 'dashed', 'dotted', 'double']).optional(),
      colour: colourSchema,
    }),
    applies: ['box'],
    css: ({ width, offset, line = 'solid', colour }) => [
      ['outline', `${width}px ${line} ${colourToCss(colour)}`],
      ['outline-offset', `${offset}px`],
    ],
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
    css: (value) => [['border-radius', fourSides(value)]],
  }),
  shadow: property({
    label: 'Shadow',
    column: 'surface',
    schema: shadowSchema,
    applies: ['box'],
    onHover: true,
    css: (value) => [['box-shadow', shadowToCss(value)]],
  }),
  textShadow: property({
    label: 'Shadow of the words',
    column: 'surface',
    schema: textShadowSchema,
    applies: ['type'],
    css: (value) => [
      ['text-shadow', value.map(({ x, y, blur, colour }) => `${x}px ${y}px ${blur}px ${colourToCss(colour)}`).join(', ')],
    ],
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
  behind: property({
    label: 'What is behind it',
    column: 'surface',
    schema: filterSchema,
    applies: ['box'],
    css: (value) => [['backdrop-filter', filterToCss(value)]],
  }),
  around: property({
    label: 'Scrim around it',
    column: 'surface',
    schema: colourSchema,
    applies: ['box'],
    // Further than windows reach; what holds the block cuts it off.
    css: (value) => [['box-shadow', `0 0 0 200vmax ${colourToCss(value)}`]],
  }),
  topShape: property({
    label: 'Shape of the top edge',
    column: 'surface',
    schema: edgeShapeSchema,
    applies: ['band'],
    css: () => [],
  }),
  bottomShape: property({
    label: 'Shape of the bottom edge',
    column: 'surface',
    schema: edgeShapeSchema,
    applies: ['band'],
    css: () => [],
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
    schema: z.number().min(-200).max(200),
    applies: 'all',
    onHover: true,
    css: (value) => [['translate', value === 0 ? '0' : `0 ${-value}px`]],
  }),
  transition: property({
    label: 'Change of state',
    column: 'states',
    /** Seconds that it takes, and that it waits before. */
    schema: z.strictObject({
      duration: z.number().min(0).max(10),
      delay: z.number().min(0).max(10).optional(),
      easing: easingSchema.optional(),
    }),
    applies: 'all',
    // With what changes: `core/render/state-rules`.
    css: () => [],
  }),
  touch: property({
    label: 'Where nothing is hovered',
    column: 'states',
    schema: z.literal('hover'),
    applies: 'all',
    css: () => [],
  }),
}

/** `border-style` of the four sides, in CSS order: top, right, bottom, left. */
export const EDGE_SIDES = {
  all: 'solid',
  top: 'solid none none',
  bottom: 'none none solid',
  left: 'none none none solid',
  right: 'none solid none none',
  'top-bottom': 'solid none',
} as const
