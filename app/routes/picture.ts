import { z } from 'zod'
import { store } from '#server/database'
import { pictureAt, pictureType, shownWidth, readOriginal } from '#server/pictures'
import { MissingError } from '#server/sites'
import type { Route } from './+types/picture'
import { answering, FOREVER } from './answers'

/** A picture by its hash: as it is, or with `?w=` at a width in px, or the next larger one that the screens show. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const hash = z
      .string()
      .regex(/^[0-9a-f]{64}$/, 'A picture is named by its SHA-256.')
      .parse(params.hash)
    const type = pictureType(store(), hash)
    if (!type) throw new MissingError('There is no such picture.')
    const asked = new URL(request.url).searchParams.get('w')
    const width = asked === null ? null : z.coerce.number().int().min(16).max(8000).parse(asked)
    const bytes =
      width === null || type === 'image/svg+xml'
        ? await readOriginal(store(), hash)
        : await pictureAt(store(), hash, shownWidth(width))
    if (!bytes) throw new MissingError('There is no such picture.')
    const contentType = width === null || type === 'image/svg+xml' ? type : 'image/webp'
    return new Response(bytes as BodyInit, {
      headers: {
        ...FOREVER,
        'Content-Type': contentType,
        'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
      },
    })
  })
}
