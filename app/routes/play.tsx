import { pageFile } from '#core/render/own-links'
import { store } from '#server/database'
import { getSite } from '#server/sites'
import { Play } from '../play/play'
import type { Route } from './+types/play'
import { loading, pageOfSite } from './answers'

export function loader({ params }: Route.LoaderArgs) {
  const { id, site, revision, exportedRevision } = loading(() => getSite(store(), params.siteId))
  const page = pageOfSite(site, params.pageId)
  return { siteId: id, site, page, file: pageFile(page), exported: exportedRevision === revision }
}

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Play · ${loaderData?.page.name ?? ''}` }]

export default function PlayRoute({ loaderData }: Route.ComponentProps) {
  return <Play {...loaderData} />
}
