import { z } from 'zod'
import { idSchema } from './ids'
import { hrefSchema } from './href'

/** Where a block leads: a page of the site (and a section of it), an address, or a file of the site. */
export const linkSchema = z.union([
  z.strictObject({ page: idSchema, section: idSchema.optional() }),
  z.strictObject({ href: hrefSchema }),
  z.strictObject({ file: idSchema }),
])
export type Link = z.infer<typeof linkSchema>
