import { z } from 'zod'
import { idSchema } from './ids'

/**
 * What pressing a button does on its page, where it leads nowhere: it opens a panel, shows one of the blocks of a group
 * that shows them one at a time, or closes the panel that it stands in.
 */
export const pressSchema = z.union([
  z.strictObject({ opens: idSchema }),
  z.strictObject({ shows: idSchema }),
  z.strictObject({ closes: z.literal(true) }),
])
export type Press = z.infer<typeof pressSchema>

/** The block that a press is about, if it names one. */
export const pressed = (press: Press): string | undefined =>
  'opens' in press ? press.opens : 'shows' in press ? press.shows : undefined
