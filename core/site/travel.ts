import { z } from 'zod'

/** How a page follows another one of the site (CSS View Transitions 2). */
export const PAGE_CHANGES = ['fade', 'slide'] as const
export type PageChange = (typeof PAGE_CHANGES)[number]

/** How visitors get from place to place on the pages of a site; at once where nothing is said. */
export const travelSchema = z.strictObject({
  /** True where the page glides to a section instead of jumping there. */
  smooth: z.literal(true).optional(),
  /** px below the top of the window at which a section comes to stand, so that nothing sticky covers it. */
  below: z.number().min(0).max(400).optional(),
  change: z.strictObject({ kind: z.enum(PAGE_CHANGES), seconds: z.number().min(0.05).max(2) }).optional(),
})
export type Travel = z.infer<typeof travelSchema>
