import { store } from '#server/database'
import { takeAs, writeAs } from '#server/formats/index'
import type { Route } from './+types/as'
import { answering } from './answers'
import { choicesOf } from './choices'

type Made = Awaited<ReturnType<typeof writeAs>>

const asFile = ({ bytes, type, file }: Made) =>
  new Response(bytes, { headers: { 'Content-Type': type, 'Content-Disposition': `attachment; filename="${file}"` } })

/** A site in one of the formats that it is written to, as a file. */
export const loader = ({ request, params }: Route.LoaderArgs) =>
  answering(async () => asFile(await writeAs(store(), params.siteId, params.format, new URL(request.url).searchParams)))

/** The same file, taken, as it was asked for in the request's body: it is noted which revision was exported. */
export const action = ({ request, params }: Route.ActionArgs) =>
  answering(async () => {
    const query = new URL(request.url).searchParams
    return asFile(await takeAs(store(), params.siteId, params.format, query, await choicesOf(request)))
  })
