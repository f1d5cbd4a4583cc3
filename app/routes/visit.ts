import { ACCESS_FILE } from '#core/render/access-script'
import { ENGINES } from '#core/render/site'
import { WATCH_FILE } from '#core/render/watch-script'
import { store } from '#server/database'
import { INSIDE_POLICY, PLAYED_POLICY, SCRIPTLESS_POLICY } from '#server/policy'
import { MissingError } from '#server/sites'
import { visitFile } from '#server/visit'
import type { Route } from './+types/visit'
import { answering, forFonts, ranged } from './answers'

/**
 * The site as a visitor gets it: the files of the export. The sandbox keeps a page out of the application;
 * its fonts and pictures are then of another origin, so they are offered to all.
 */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const { searchParams } = new URL(request.url)
    const engine = ENGINES.find((one) => one === searchParams.get('engine'))
    // What a page asks for with itself, and not who opens an address or fetches it (Fetch Metadata, Sec-Fetch-Dest).
    const part = !['document', 'iframe', 'empty', null].includes(request.headers.get('Sec-Fetch-Dest'))
    const found = await visitFile(store(), params.siteId, params['*'] || 'index.html', engine, part)
    if (!found) throw new MissingError('There is no such page.')
    // What watches a page comes first in it, what looks at it once it is there.
    const added = searchParams.has('watched')
      ? `<script src="${WATCH_FILE}"></script>`
      : searchParams.has('accessed')
        ? `<script src="${ACCESS_FILE}" defer></script>`
        : undefined
    const isPage = typeof found.bytes === 'string' && found.type.startsWith('text/html')
    const scriptless = searchParams.has('scriptless')
    const bytes =
      added !== undefined && isPage
        ? String(found.bytes).replace('<head>', `<head>${added}`)
        : // What would be blocked is not asked for.
          scriptless && typeof found.bytes === 'string'
          ? found.bytes.replace(/<script src="[^"]*"[^>]*><\/script>/g, '')
          : found.bytes
    return ranged(request, bytes, {
      'Content-Type': found.type,
      'Cache-Control': 'no-cache',
      ...(found.saved ? { 'Content-Disposition': 'attachment' } : {}),
      ...forFonts(request),
      'Content-Security-Policy': searchParams.has('inside') ? INSIDE_POLICY : scriptless ? SCRIPTLESS_POLICY : PLAYED_POLICY,
    })
  })
}
