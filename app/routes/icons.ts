import { findIcons } from '#server/icons'
import type { Route } from './+types/icons'

/** Icons whose names or words contain what is asked for. */
export function loader({ request }: Route.LoaderArgs) {
  return Response.json(findIcons(new URL(request.url).searchParams.get('q') ?? ''))
}
