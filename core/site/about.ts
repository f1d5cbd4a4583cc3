import { z } from 'zod'

/** A day, or a day and a time, as ISO 8601 writes them without a zone: `2026-11-27`, `2026-11-27T20:30`. */
const momentSchema = z
  .string()
  .regex(/^\d{4}-\d\d-\d\d(T\d\d:\d\d)?$/, 'A day is written as 2026-11-27, with a time as 2026-11-27T20:30.')

/** What a page is about, as far as its blocks do not say it in a form that machines read. */
export const aboutSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('event'),
    starts: momentSchema,
    ends: momentSchema.optional(),
    place: z.string().trim().min(1).max(200),
  }),
  z.strictObject({
    kind: z.literal('product'),
    price: z.string().regex(/^\d{1,9}(\.\d{1,2})?$/, 'A price is written as 12 or 12.50.'),
    /** ISO 4217. */
    currency: z.string().regex(/^[A-Z]{3}$/, 'A currency has three letters, as EUR.'),
  }),
])
export type About = z.infer<typeof aboutSchema>
