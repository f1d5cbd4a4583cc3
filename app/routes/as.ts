import { store } from '#server/database'
import { takeAs, writeAs } from '#server/formats/index'
import type { Route } from './+types/as'
import { answering } from './answers'

const answer = (request: Request, { siteId, format }: { siteId: string; format: string }, make: typeof writeAs) =>
  answering(async () => {
    const { bytes, type, file } = await make(store(), siteId, format, new URL(request.url).searchParams)
    return new Response(bytes, { headers: { 'Content-Type': type, 'Content-Disposition': `attachment; filename="${file}"` } })
  })

/** A site in one of the formats that it is written to, as a file. */
export const loader = ({ request, params }: Route.LoaderArgs) => answer(request, params, writeAs)

/** The same file, taken: it is noted which revision was exported. */
export const action = ({ request, params }: Route.ActionArgs) => answer(request, params, takeAs)
