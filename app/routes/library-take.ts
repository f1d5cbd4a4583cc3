import { z } from 'zod'
import { readJson } from '#server/body'
import { store } from '#server/database'
import { takeFromLibrary } from '#server/library'
import { getSite } from '#server/sites'
import type { Route } from './+types/library-take'
import { answering } from './answers'

/** Takes a picture of the library into the store. It joins the site by an edit of its own. */
export function action({ request, params }: Route.ActionArgs) {
  return answering(async () => {
    getSite(store(), params.siteId)
    const { name } = z.strictObject({ name: z.string() }).parse(await readJson(request))
    return Response.json({ ...(await takeFromLibrary(store(), name)), name: `${name}.jpg` })
  })
}
