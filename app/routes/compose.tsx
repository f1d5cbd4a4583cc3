import { Compose } from '../compose/compose'
import { openedSite } from './answers'
import type { Route } from './+types/compose'

export const loader = ({ request, params }: Route.LoaderArgs) => openedSite(request, params)

export { onlyForAnotherSite as shouldRevalidate } from './only-for-another-site'

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Compose · ${loaderData?.site.name ?? ''}` }]

export default function ComposeRoute({ loaderData, params }: Route.ComponentProps) {
  return <Compose key={loaderData.siteId} {...loaderData} pageId={params.pageId} />
}
