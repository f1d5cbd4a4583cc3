import { z } from 'zod'
import { idSchema } from '#core/values/ids'

/** The grid below one width. The first breakpoint of a site has no `below`: it is the base, for all widths. */
export const breakpointSchema = z.strictObject({
  id: idSchema,
  /** Viewport width, px, that it no longer holds at. */
  below: z.int().min(240).max(4000).nullable(),
  columns: z.int().min(1).max(24),
  /** Space between two columns, px. */
  gutter: z.number().min(0).max(200),
  /** Least space left and right of the columns, px. */
  margin: z.number().min(0).max(400),
  /** Greatest width of the columns together, px. */
  container: z.number().min(200).max(4000),
})
export type Breakpoint = z.infer<typeof breakpointSchema>

export const breakpointsSchema = z
  .array(breakpointSchema)
  .min(1)
  .max(12)
  .refine(
    (list) =>
      list.every((one, i) => (i === 0 ? one.below === null : one.below !== null && one.below < (list[i - 1]!.below ?? Infinity))),
    'Breakpoints run from the widest to the narrowest; the first is the base and has no width.',
  )
