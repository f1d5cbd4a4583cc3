import { z } from 'zod'
import { FORMATS } from './picture'

/** Boxes of picture blocks as a browser laid them out, by the id of the block: width of the window, and of the box its width and height, px. */
export const measuredSchema = z.record(
  z.string().max(80),
  z.array(z.tuple([z.int().min(100).max(8000), z.number().min(0).max(20_000), z.number().min(0).max(100_000)])).max(400),
)
export type MeasuredBoxes = z.infer<typeof measuredSchema>

/** What an export may be asked for besides its style. */
export const webChoicesSchema = z.strictObject({
  /** Types of file that pictures are offered in, the lightest first; WebP alone, if nothing is said. */
  formats: z.array(z.enum(FORMATS)).min(1).max(3).optional(),
  /** True for icons in one file that pages refer to; each is printed where it stands otherwise. */
  sprite: z.boolean().optional(),
  /** From which `sizes` are worked out; where there are none, they are worked out from the layout. */
  measured: measuredSchema.optional(),
})
export type WebChoices = z.infer<typeof webChoicesSchema>
