import { z } from 'zod'
import { idSchema } from '#core/values/ids'
import { urlOf } from '#core/values/href'
import { nameSchema } from '#core/values/name'

/** Most words that a site may call its own. */
export const MOST_OWN_WORDS = 2000

/** The icon of a site: a letter in the face of its headings, on a role of its colours, or one of its pictures. */
export const siteIconSchema = z.union([
  z.strictObject({ letter: z.string().trim().min(1).max(2), ground: nameSchema, ink: nameSchema }),
  z.strictObject({ picture: idSchema }),
])
export type SiteIcon = z.infer<typeof siteIconSchema>

/** What a page may weigh on its first load, bytes, and how long that may take on a slow connection, seconds. */
export const budgetSchema = z.strictObject({
  bytes: z.int().min(10_000).max(100_000_000),
  seconds: z.number().min(0.5).max(60),
})
export type Budget = z.infer<typeof budgetSchema>

/** The budget of a site that has none of its own. */
export const USUAL_BUDGET: Budget = { bytes: 1_024_000, seconds: 6 }

/** Where a site will stand, without a slash at its end: `https://example.org`, `https://example.org/nights`. */
export const siteAddressSchema = z
  .string()
  .max(200)
  .regex(
    /^https:\/\/[a-z0-9]([a-z0-9.-]*[a-z0-9])?(:\d{1,5})?(\/[A-Za-z0-9._~-]+)*$/,
    'The address of a site begins with https:// and has no slash at its end.',
  )
  .refine(
    (address) => [address, `${address}/`].includes(urlOf(address)?.href ?? ''),
    'Browsers would go to another address than this: it has a port that there is not, or steps such as “..”.',
  )

/** What is said of a site where others speak of it: search results, shared links, browsers' tabs. */
export const launchSchema = z.strictObject({
  address: siteAddressSchema.optional(),
  /** Who the site belongs to. */
  owner: z.string().trim().min(1).max(120).optional(),
  icon: siteIconSchema.optional(),
  /** The picture that shared links show, where a page has none of its own. */
  share: idSchema.optional(),
  budget: budgetSchema.optional(),
  /** Words that are spelt right here, though no dictionary has them. */
  words: z.array(z.string().trim().min(1).max(60)).max(MOST_OWN_WORDS).optional(),
})
export type Launch = z.infer<typeof launchSchema>
