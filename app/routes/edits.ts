import { z, ZodError } from 'zod'
import { parseEdit } from '#core/edits/index'
import { readJson } from '#server/body'
import { store } from '#server/database'
import { editsSince, getSite, type KeyedEdit, saveEdits } from '#server/sites'
import type { Route } from './+types/edits'
import { answering, sentenceOf } from './answers'

const postSchema = z.strictObject({
  base: z.int().min(0),
  edits: z.array(z.strictObject({ key: z.string().min(1).max(64), edit: z.unknown() })).max(1000),
})

/** Edits since a revision, for a tab that has been told that there are some. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(() => {
    const since = z.coerce.number().int().min(0).parse(new URL(request.url).searchParams.get('since'))
    const { revision } = getSite(store(), params.siteId)
    return Response.json({ revision, missed: editsSince(store(), params.siteId, since) })
  })
}

/** Saves edits; answers 409 with the missed edits if the client is behind. */
export function action({ request, params }: Route.ActionArgs) {
  return answering(async () => {
    const { base, edits } = postSchema.parse(await readJson(request))
    const parsed: KeyedEdit[] = []
    const malformed: { key: string; error: ZodError }[] = []
    for (const { key, edit } of edits) {
      try {
        parsed.push({ key, edit: parseEdit(edit) })
      } catch (error) {
        if (!(error instanceof ZodError)) throw error
        malformed.push({ key, error })
      }
    }
    // One edit of a wrong shape must not take others with it; a request of nothing else has itself the wrong shape.
    if (parsed.length === 0 && malformed[0]) throw malformed[0].error
    const result = saveEdits(store(), params.siteId, base, parsed)
    if (result.status === 'behind') return Response.json(result, { status: 409 })
    const refused = malformed.map(({ key, error }) => ({ key, reason: sentenceOf(error).sentence }))
    return Response.json({ ...result, refused: [...result.refused, ...refused] })
  })
}
