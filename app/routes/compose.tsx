import { Compose } from '../compose/compose'
import { loading } from './answers'
import { store } from '#server/database'
import { getSite } from '#server/sites'
import type { Route } from './+types/compose'

export function loader({ params }: Route.LoaderArgs) {
  const { id, site, revision, exportedRevision } = loading(() => getSite(store(), params.siteId))
  return { siteId: id, site, revision, exportedRevision }
}

/** Edits are kept by the screen itself; a page change must not fetch the site again. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
}: {
  currentParams: { siteId?: string }
  nextParams: { siteId?: string }
}) => currentParams.siteId !== nextParams.siteId

export const meta = ({ loaderData }: Route.MetaArgs) => [{ title: `Compose · ${loaderData?.site.name ?? ''}` }]

export default function ComposeRoute({ loaderData, params }: Route.ComponentProps) {
  return <Compose key={loaderData.siteId} {...loaderData} pageId={params.pageId} />
}
