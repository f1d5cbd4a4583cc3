import { store } from '#server/database'
import { readFont } from '#server/fonts'
import { MissingError } from '#server/sites'
import type { Route } from './+types/font'
import { answering, FOREVER } from './answers'

export function loader({ params }: Route.LoaderArgs) {
  return answering(async () => {
    const bytes = await readFont(params.file, store().folder)
    if (!bytes) throw new MissingError('There is no such font file.')
    return new Response(bytes, { headers: { ...FOREVER, 'Content-Type': 'font/woff2' } })
  })
}
