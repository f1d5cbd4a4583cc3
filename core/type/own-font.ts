import { z } from 'zod'
import { idSchema } from '#core/values/ids'

/** Most that a font may weigh, bytes. */
export const MAX_FONT = 8 * 1024 * 1024

const em = z.number().min(-4).max(4)

/** A font that was uploaded to the site, in one file, which is kept as WOFF2 whatever it came as. */
export const ownFontSchema = z.strictObject({
  id: idSchema,
  /** Family name, as it stands in CSS. */
  name: z
    .string()
    .trim()
    .min(1)
    .max(80)
    .regex(/^[\p{L}\p{N} ._-]+$/u),
  /** SHA-256 of the bytes, in hex; the name that it is stored under. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  class: z.enum(['serif', 'sans', 'slab', 'mono', 'display']),
  /** Lightest and heaviest weight; equal for a file of one weight. */
  weights: z.tuple([z.int().min(1).max(1000), z.int().min(1).max(1000)]),
  italic: z.boolean(),
  /** What allows its use on this site, as the designer notes it. */
  licence: z.string().max(500),
  metrics: z.strictObject({ ascent: em, descent: em, lineGap: em, capHeight: em, xHeight: em, averageAdvance: em }),
})
export type OwnFont = z.infer<typeof ownFontSchema>
