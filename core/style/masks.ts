import { z } from 'zod'
import { iconSchema } from '#core/values/icon'
import type { Declaration } from './property'
import { shapeUrl } from './shape-url'

/** What is seen of a picture: it fades along a gradient, or is cut to a shape. */
export const maskSchema = z.union([
  z.strictObject({ kind: z.literal('none') }),
  /** Whole up to `from`, gone from `to` on, percent along the gradient; degrees as in CSS. */
  z.strictObject({
    kind: z.literal('fade'),
    angle: z.number().min(0).max(360),
    from: z.number().min(0).max(100),
    to: z.number().min(0).max(100),
  }),
  z.strictObject({ kind: z.literal('shape'), shape: iconSchema }),
])
export type Mask = z.infer<typeof maskSchema>

/** The `mask` of a picture (CSS Masking 1). A shape lies in the middle, as large as its box lets it be. */
export function maskToCss(mask: Mask): Declaration[] {
  switch (mask.kind) {
    case 'none':
      return [['mask', 'none']]
    case 'fade':
      return [['mask', `linear-gradient(${mask.angle}deg, #000 ${mask.from}%, #0000 ${mask.to}%)`]]
    case 'shape':
      return [['mask', `${shapeUrl(mask.shape, { fill: 'black' })} center / contain no-repeat`]]
  }
}
