import { currentOf } from '#core/site/directions'
import { store } from '#server/database'
import { getSite, MissingError } from '#server/sites'
import { styleSheetDrawing, styleSheetPage } from '#server/guide-page'
import type { Route } from './+types/style-sheet'
import { answering, pageOfSite } from './answers'

/** The style guide of a direction for the client: as a page, or with `?part=body` as markup for drawing. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const { site } = getSite(store(), params.siteId)
    const page = pageOfSite(site, params.pageId)
    const query = new URL(request.url).searchParams
    const direction = query.get('direction') ?? currentOf(site).id
    if (!site.directions.some((one) => one.id === direction)) throw new MissingError('There is no such direction.')
    if (query.get('part') === 'body') return Response.json({ body: await styleSheetDrawing(store(), site, page, direction) })
    return new Response(styleSheetPage(site, page, direction), {
      headers: {
        'Content-Type': 'text/html; charset=utf-8',
        'Cache-Control': 'no-cache',
        'Content-Security-Policy':
          "default-src 'self'; img-src 'self' data:; style-src 'unsafe-inline'; script-src 'none'; frame-ancestors 'self'",
      },
    })
  })
}
