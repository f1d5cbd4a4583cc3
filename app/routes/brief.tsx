import { Brief } from '../brief/brief'
import { openedSite } from './answers'
import type { Route } from './+types/brief'

export const loader = ({ request, params }: Route.LoaderArgs) => openedSite(request, params)

export { onlyForAnotherSite as shouldRevalidate } from './only-for-another-site'

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Brief · ${loaderData?.site.name ?? ''}` }]

export default function BriefRoute({ loaderData, params }: Route.ComponentProps) {
  return <Brief key={loaderData.siteId} {...loaderData} pageId={params.pageId} />
}
