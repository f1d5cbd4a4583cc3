import { z } from 'zod'
import { filterSchema, filterToCss } from './filters'
import { frameSchema, frameToCss } from './frames'
import { maskSchema, maskToCss } from './masks'
import { property } from './property'
import { colourSchema } from '#core/values/colour'

/** How a picture fills its box. The scrim is a layer of its own over the picture, made in `core/blocks/picture`. */
export const picture = {
  aspect: property({
    label: 'Shape',
    column: 'picture',
    schema: z.strictObject({ width: z.number().positive().max(100), height: z.number().positive().max(100) }),
    applies: ['ratio'],
    css: ({ width, height }) => [['aspect-ratio', width === height ? '1' : `${width} / ${height}`]],
  }),
  fit: property({
    label: 'Fit',
    column: 'picture',
    schema: z.enum(['cover', 'contain']),
    applies: ['image'],
    css: (value) => [['object-fit', value]],
  }),
  focal: property({
    label: 'Focal point',
    column: 'picture',
    schema: z.strictObject({ x: z.number().min(0).max(100), y: z.number().min(0).max(100) }),
    applies: ['image'],
    css: ({ x, y }) => [['object-position', `${x}% ${y}%`]],
  }),
  zoom: property({
    label: 'Zoom',
    column: 'picture',
    schema: z.number().min(1).max(4),
    applies: ['image'],
    onHover: true,
    css: (value) => [['scale', String(value)]],
  }),
  flip: property({
    label: 'Flipped',
    column: 'picture',
    schema: z.enum(['none', 'across', 'down', 'both']),
    applies: ['image'],
    // A turn about an axis leaves `scale` to the zoom.
    css: (value) => [['rotate', { none: 'none', across: 'y 180deg', down: 'x 180deg', both: '180deg' }[value]]],
  }),
  filter: property({
    label: 'Filters',
    column: 'picture',
    schema: filterSchema,
    applies: ['image'],
    onHover: true,
    css: (value) => [['filter', filterToCss(value)]],
  }),
  frame: property({
    label: 'Frame',
    column: 'picture',
    schema: frameSchema,
    applies: ['image'],
    css: (value) => [['clip-path', frameToCss(value)]],
  }),
  mask: property({
    label: 'Mask',
    column: 'picture',
    schema: maskSchema,
    applies: ['image'],
    css: maskToCss,
  }),
  duotone: property({
    label: 'Duotone',
    column: 'picture',
    /** The colours that black and white become. */
    schema: z.strictObject({ dark: colourSchema, light: colourSchema }),
    applies: ['image'],
    css: () => [],
  }),
  scrim: property({
    label: 'Scrim',
    column: 'picture',
    schema: z.strictObject({
      colour: colourSchema,
      /** Strength at the start and at the end of the gradient, 0 to 1; equal for a flat tint. */
      from: z.number().min(0).max(1),
      to: z.number().min(0).max(1),
      /** Degrees, as in CSS: 0 runs upwards, 90 to the right. */
      angle: z.number().min(0).max(360),
    }),
    applies: ['image'],
    css: () => [],
  }),
}
