import { z } from 'zod'

/** What a played page says of its scroll; any other message of it is passed over. */
export const watchedSchema = z.object({
  scroll: z.number().min(0),
  height: z.number().min(0),
  window: z.number().positive(),
  frames: z.int().min(0),
  late: z.int().min(0),
})
