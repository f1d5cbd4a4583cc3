import { writeSite } from '#core/formats/site-json'
import { slug } from '#core/render/names'
import { store } from '#server/database'
import { exportSiteFile } from '#server/site-files'
import { getSite } from '#server/sites'
import type { Route } from './+types/site-file'
import { answering } from './answers'

const download = (name: string, type: string) => ({
  'Content-Type': type,
  'Content-Disposition': `attachment; filename="${name}"`,
})

/** The site as one open file: `.site.zip` with its pictures, or with `?form=json` the document alone. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const { site } = getSite(store(), params.siteId)
    const name = slug(site.name)
    if (new URL(request.url).searchParams.get('form') === 'json') {
      return new Response(writeSite(site), { headers: download(`${name}.site.json`, 'application/json') })
    }
    return new Response(await exportSiteFile(store(), site), {
      headers: download(`${name}.site.zip`, 'application/zip'),
    })
  })
}
