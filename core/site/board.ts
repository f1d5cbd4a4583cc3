import { z } from 'zod'
import { idSchema } from '#core/values/ids'

const place = z.number().min(-20_000).max(20_000)
const extent = z.number().min(24).max(4000)
const hexSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'A colour is written #RRGGBB.')

const common = {
  id: idSchema,
  /** Place and size on the board, px. */
  x: place,
  y: place,
  width: extent,
  height: extent,
  /** What is liked in it. */
  caption: z.string().max(400),
  /** Cards of one group move together. */
  group: idSchema.optional(),
}

/** A card of the references board: a picture of the site, a colour, a sample of type, or a note. */
export const boardCardSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('picture'), picture: idSchema }),
  z.strictObject({ ...common, kind: z.literal('colour'), hex: hexSchema, share: z.number().min(0).max(1).optional() }),
  z.strictObject({
    ...common,
    kind: z.literal('type'),
    family: z.string().max(60),
    weight: z.int().min(100).max(1000),
    sample: z.string().max(200),
  }),
  z.strictObject({ ...common, kind: z.literal('note'), text: z.string().max(4000) }),
])
export type BoardCard = z.infer<typeof boardCardSchema>
