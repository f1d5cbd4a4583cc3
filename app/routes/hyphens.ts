import { z } from 'zod'
import { LONGEST_WORD } from '#core/analysis/spelling'
import { languageSchema } from '#core/values/language'
import { MOST_PARTED } from '#core/sweep/repairs/hyphens'
import { readJson } from '#server/body'
import { inThread } from '#server/threads/pool'
import type { Route } from './+types/hyphens'
import { answering } from './answers'

const schema = z.strictObject({
  language: languageSchema,
  words: z.array(z.string().min(1).max(LONGEST_WORD)).max(MOST_PARTED),
})

/** Words with soft hyphens where their language parts them; `null` where there are no patterns of it here. */
export const action = ({ request }: Route.ActionArgs) =>
  answering(async () => Response.json((await inThread('hyphens', 'hyphens', schema.parse(await readJson(request)))) ?? null))
