import { store } from '#server/database'
import { getSite } from '#server/sites'
import { weightsOf } from '#server/weights'
import type { Route } from './+types/export-weights'
import { answering } from './answers'
import { choicesOf } from './choices'

/** What the pictures of each page weigh in each view, as they would be exported. */
export const action = ({ request, params }: Route.ActionArgs) =>
  answering(async () => {
    const { site } = getSite(store(), params.siteId)
    return Response.json(await weightsOf(store(), site, await choicesOf(request)))
  })
