import { redirect } from 'react-router'
import { store } from '#server/database'
import { getSite } from '#server/sites'
import type { Route } from './+types/site'
import { loading } from './answers'

/** A site opens on its first page: at the brief, where the path begins, until there is something to compose. */
export function loader({ params }: Route.LoaderArgs) {
  const { id, site } = loading(() => getSite(store(), params.siteId))
  const untouched = site.pages.every((page) => page.sections.length === 0)
  return redirect(`/sites/${id}/pages/${site.pages[0]!.id}/${untouched ? 'brief' : 'compose'}`)
}
