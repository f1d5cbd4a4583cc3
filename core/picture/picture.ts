import { z } from 'zod'
import { idSchema } from '#core/values/ids'

/** Longest side of a picture, px. */
export const MAX_SIDE = 30_000

/** A picture of the site. */
export const pictureSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(200),
  /** SHA-256 of the original's bytes, in hex; the name that it is stored under. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/svg+xml']),
  /** Size of the original, px. */
  width: z.int().positive().max(MAX_SIDE),
  height: z.int().positive().max(MAX_SIDE),
})
export type Picture = z.infer<typeof pictureSchema>
