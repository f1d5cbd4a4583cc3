import { Check } from '../check/check'
import { openedSite } from './answers'
import type { Route } from './+types/check'

export const loader = ({ request, params }: Route.LoaderArgs) => openedSite(request, params)

export { onlyForAnotherSite as shouldRevalidate } from './only-for-another-site'

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Check · ${loaderData?.site.name ?? ''}` }]

export default function CheckRoute({ loaderData, params }: Route.ComponentProps) {
  return <Check key={loaderData.siteId} {...loaderData} pageId={params.pageId} />
}
