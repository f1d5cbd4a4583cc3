import { store } from '#server/database'
import { writeAs } from '#server/formats/index'
import type { Route } from './+types/as'
import { answering } from './answers'

/** A site in one of the formats that it is written to, as a file. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const { bytes, type, file } = await writeAs(store(), params.siteId, params.format, new URL(request.url).searchParams)
    return new Response(bytes, { headers: { 'Content-Type': type, 'Content-Disposition': `attachment; filename="${file}"` } })
  })
}
