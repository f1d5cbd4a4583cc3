import { libraryThumbnail } from '#server/library'
import type { Route } from './+types/library-thumbnail'
import { answering } from './answers'

export function loader({ params }: Route.LoaderArgs) {
  return answering(async () => {
    const bytes = await libraryThumbnail(params.name)
    return new Response(bytes as BodyInit, { headers: { 'Content-Type': 'image/webp', 'Cache-Control': 'public, max-age=86400' } })
  })
}
