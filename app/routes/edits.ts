import { z } from 'zod'
import { parseEdit } from '#core/edits/index'
import { store } from '#server/database'
import { editsSince, getSite, saveEdits } from '#server/sites'
import type { Route } from './+types/edits'
import { answering, readJson } from './answers'

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
    const parsed = edits.map(({ key, edit }) => ({ key, edit: parseEdit(edit) }))
    const result = saveEdits(store(), params.siteId, base, parsed)
    return Response.json(result, { status: result.status === 'behind' ? 409 : 200 })
  })
}
