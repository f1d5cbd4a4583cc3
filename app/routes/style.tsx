import { Style } from '../style/style'
import { openedSite } from './answers'
import type { Route } from './+types/style'

export const loader = ({ request, params }: Route.LoaderArgs) => openedSite(request, params)

export { onlyForAnotherSite as shouldRevalidate } from './only-for-another-site'

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Style · ${loaderData?.site.name ?? ''}` }]

export default function StyleRoute({ loaderData, params }: Route.ComponentProps) {
  return <Style key={loaderData.siteId} {...loaderData} pageId={params.pageId} />
}
