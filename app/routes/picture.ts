import { z } from 'zod'
import { turnSchema } from '#core/picture/picture'
import { store } from '#server/database'
import { pictureAt, pictureType, shownWidth, readOriginal } from '#server/pictures'
import { MissingError } from '#server/sites'
import type { Route } from './+types/picture'
import { answering, FOREVER, ranged } from './answers'

/**
 * A picture by its hash: as it is, or with `?w=` at a width in px, or the next larger one that the screens show; turned
 * with `&turn=` in degrees, and let through with `&opacity=` in percent.
 */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const hash = z
      .string()
      .regex(/^[0-9a-f]{64}$/, 'A picture is named by its SHA-256.')
      .parse(params.hash)
    const type = pictureType(store(), hash)
    if (!type) throw new MissingError('There is no such picture.')
    const query = new URL(request.url).searchParams
    const asked = query.get('w')
    const turn = turnSchema.optional().parse(query.has('turn') ? Number(query.get('turn')) : undefined)
    const opacity = z
      .number()
      .min(0)
      .max(1)
      .optional()
      .parse(query.has('opacity') ? Number(query.get('opacity')) / 100 : undefined)
    const making = { turn, opacity }
    const whole = asked === null ? null : z.coerce.number().int().min(16).max(8000).parse(asked)
    const film = type.startsWith('video/')
    const asIs = film || (turn === undefined && opacity === undefined && (whole === null || type === 'image/svg+xml'))
    const bytes = asIs
      ? await readOriginal(store(), hash)
      : await pictureAt(store(), hash, shownWidth(whole ?? 1600), undefined, making)
    if (!bytes) throw new MissingError('There is no such picture.')
    const contentType = asIs ? type : 'image/webp'
    return ranged(request, bytes, {
      ...FOREVER,
      'Content-Type': contentType,
      'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
    })
  })
}
