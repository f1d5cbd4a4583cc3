import { z } from 'zod'
import { LONGEST_WORD, MOST_WORDS } from '#core/analysis/spelling'
import { languageSchema } from '#core/values/language'
import { MOST_OWN_WORDS } from '#core/site/launch'
import { readJson } from '#server/body'
import { inThread } from '#server/threads/pool'
import type { Route } from './+types/spelling'
import { answering } from './answers'

/** Words of the names of a site and its owner, at most, which are its own as well. */
const NAMES = 200

const words = (most: number) => z.array(z.string().min(1).max(LONGEST_WORD)).max(most)
const schema = z.strictObject({ language: languageSchema, words: words(MOST_WORDS), own: words(MOST_OWN_WORDS + NAMES) })

/** Words that no dictionary of a language has; `null` where there is none of it here. */
export const action = ({ request }: Route.ActionArgs) =>
  answering(async () => {
    const asked = schema.parse(await readJson(request))
    return Response.json((await inThread('spelling', 'spell', asked)) ?? null)
  })
