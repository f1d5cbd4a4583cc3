import { store } from '#server/database'
import { rawSite } from '#server/unreadable'
import type { Route } from './+types/raw'
import { answering } from './answers'

/** All that is kept of a site, as it is on the disk: for one that cannot be read, and so not be written in any format. */
export function loader({ params }: Route.LoaderArgs) {
  return answering(
    () =>
      new Response(rawSite(store(), params.siteId), {
        headers: {
          'Content-Type': 'application/json',
          'Content-Disposition': `attachment; filename="${params.siteId.replace(/[^\w-]/g, '')}.raw.json"`,
        },
      }),
  )
}
