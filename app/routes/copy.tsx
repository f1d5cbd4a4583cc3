import { Copy } from '../copy/copy'
import { openedSite } from './answers'
import type { Route } from './+types/copy'

export const loader = ({ request, params }: Route.LoaderArgs) => openedSite(request, params)

export { onlyForAnotherSite as shouldRevalidate } from './only-for-another-site'

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Copy · ${loaderData?.site.name ?? ''}` }]

export default function CopyRoute({ loaderData, params }: Route.ComponentProps) {
  return <Copy key={loaderData.siteId} {...loaderData} pageId={params.pageId} />
}
