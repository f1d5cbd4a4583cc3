import { z } from 'zod'

/** What can be told of a picture from its file alone. */
export const factsSchema = z.object({
  /** Bytes of the original. */
  bytes: z.number(),
  /** Its colours as the file says them: srgb, cmyk, b-w … */
  space: z.string(),
  /** Name of the colour profile in it; nothing where it has none, which means sRGB. */
  profile: z.string().optional(),
  /** Bits of one channel. */
  depth: z.number(),
  /** Pictures in it; of an animated one the first is shown. */
  frames: z.number(),
  /** Share of its pixels that let something through, 0 to 1. */
  transparent: z.number(),
  /** Standard deviation of the Laplacian of its light at 1600 px of width: the sharper, the higher. */
  sharpness: z.number(),
})
export type PictureFacts = z.infer<typeof factsSchema>
