import { z } from 'zod'
import { mockupMarkup } from '#server/mockup'
import { store } from '#server/database'
import { getSite } from '#server/sites'
import type { Route } from './+types/mockup'
import { answering, pageOfSite } from './answers'

/** A page as self-contained markup for drawing at a width: styles, fonts and pictures inside it. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const { site } = getSite(store(), params.siteId)
    const query = new URL(request.url).searchParams
    const width = z.coerce.number().int().min(240).max(3840).parse(query.get('width'))
    const density = z.coerce.number().int().min(1).max(2).parse(query.get('density'))
    return Response.json(await mockupMarkup(store(), site, pageOfSite(site, params.pageId), width, density))
  })
}
