import { References } from '../references/references'
import { openedSite } from './answers'
import type { Route } from './+types/references'

export const loader = ({ request, params }: Route.LoaderArgs) => openedSite(request, params)

export { onlyForAnotherSite as shouldRevalidate } from './only-for-another-site'

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `References · ${loaderData?.site.name ?? ''}` }]

export default function ReferencesRoute({ loaderData, params }: Route.ComponentProps) {
  return <References key={loaderData.siteId} {...loaderData} pageId={params.pageId} />
}
