import { store } from '#server/database'
import { entriesAsCsv } from '#server/inbox'
import type { Route } from './+types/inbox-csv'
import { answering } from './answers'

/** The entries of a site as a table, all or those in which some words stand. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(() => {
    const words = (new URL(request.url).searchParams.get('words') ?? '').slice(0, 200)
    return new Response(entriesAsCsv(store(), params.siteId, words), {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="entries.csv"',
        'Cache-Control': 'no-store',
      },
    })
  })
}
