import { store } from '#server/database'
import { readFont } from '#server/fonts'
import { wantedBytes } from '#server/pictures'
import { getSite } from '#server/sites'
import { weightsOf } from '#server/weights'
import type { Route } from './+types/export-weights'
import { answering } from './answers'
import { choicesOf } from './choices'

/** What the pictures of each page weigh in each view, as they would be exported. */
export const action = ({ request, params }: Route.ActionArgs) =>
  answering(async () => {
    const here = store()
    const { site } = getSite(here, params.siteId)
    const weights = await weightsOf(site, await choicesOf(request), {
      picture: (picture, width, making) => wantedBytes(here, { picture, width, making }),
      font: (name) => readFont(name, here.folder),
    })
    return Response.json(weights)
  })
