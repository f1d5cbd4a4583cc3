import { redirect } from 'react-router'
import { store } from '#server/database'
import { getSite } from '#server/sites'
import type { Route } from './+types/site'
import { loading } from './answers'

/** A site opens on its first page. */
export function loader({ params }: Route.LoaderArgs) {
  const { id, site } = loading(() => getSite(store(), params.siteId))
  return redirect(`/sites/${id}/pages/${site.pages[0]!.id}/compose`)
}
