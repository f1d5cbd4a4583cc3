import { searchLibrary } from '#server/library'
import type { Route } from './+types/library'

/** Pictures of the local library that have the words asked for. */
export function loader({ request }: Route.LoaderArgs) {
  return Response.json(searchLibrary(new URL(request.url).searchParams.get('q') ?? ''))
}
