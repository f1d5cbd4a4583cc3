import { store } from '#server/database'
import { readFont } from '#server/fonts'
import { MissingError } from '#server/sites'
import type { Route } from './+types/font'
import { answering, FOREVER, forFonts } from './answers'

export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const bytes = await readFont(params.file, store().folder)
    if (!bytes) throw new MissingError('There is no such font file.')
    return new Response(bytes, { headers: { ...FOREVER, ...forFonts(request), 'Content-Type': 'font/woff2' } })
  })
}
