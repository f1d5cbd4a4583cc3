import { z } from 'zod'
import { besideIcon, headingIconSchema } from './heading-icon'
import { lengthToCss } from './css-values'
import { property } from './property'
import { lengthSchema } from '#core/values/length'
import { nameSchema } from '#core/values/name'

/** How words are set. What a block leaves open comes from its type role. */
export const type = {
  face: property({
    label: 'Face',
    column: 'type',
    schema: nameSchema,
    applies: ['type'],
    css: (value) => [['font-family', `var(--face-${value})`]],
  }),
  weight: property({
    label: 'Weight',
    column: 'type',
    schema: z.int().min(100).max(1000),
    applies: ['type'],
    onHover: false,
    css: (value) => [['font-weight', String(value)]],
  }),
  size: property({
    label: 'Size',
    column: 'type',
    least: 0,
    schema: lengthSchema,
    measures: 'size',
    applies: ['type'],
    css: (value) => [['font-size', lengthToCss(value)]],
  }),
  leading: property({
    label: 'Leading',
    column: 'type',
    schema: z.number().min(0.7).max(3),
    applies: ['type'],
    css: (value) => [['line-height', String(value)]],
  }),
  tracking: property({
    label: 'Tracking',
    column: 'type',
    schema: z.number().min(-0.2).max(1),
    applies: ['type'],
    css: (value) => [['letter-spacing', value === 0 ? 'normal' : `${value}em`]],
  }),
  textAlign: property({
    label: 'Align',
    column: 'type',
    schema: z.enum(['start', 'center', 'end']),
    applies: ['aligned'],
    css: (value) => [['text-align', value]],
  }),
  // Where the lines stand in a box that is higher than they are (CSS Box Alignment 3, 5.1: in a block container).
  wordsAt: property({
    label: 'Words at',
    column: 'type',
    schema: z.enum(['start', 'center', 'end']),
    applies: ['aligned'],
    css: (value) => [['align-content', value]],
  }),
  lines: property({
    label: 'Lines',
    column: 'type',
    schema: z.enum(['wrap', 'balance', 'pretty', 'nowrap']),
    applies: ['type'],
    css: (value) => [['text-wrap', value]],
  }),
  letterCase: property({
    label: 'Letters',
    column: 'type',
    schema: z.enum(['as-typed', 'capitals', 'small-capitals']),
    applies: ['type'],
    css: (value) =>
      value === 'small-capitals'
        ? [['font-variant-caps', 'all-small-caps']]
        : [['text-transform', value === 'capitals' ? 'uppercase' : 'none']],
  }),
  italic: property({
    label: 'Slope',
    column: 'type',
    schema: z.enum(['upright', 'italic']),
    applies: ['type'],
    css: (value) => [['font-style', value === 'italic' ? 'italic' : 'normal']],
  }),
  icon: property({
    label: 'Icon',
    column: 'type',
    schema: headingIconSchema,
    applies: ['icon'],
    css: besideIcon,
  }),
}
