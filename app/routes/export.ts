import { zipSync } from 'fflate'
import { slug } from '#core/render/names'
import { store } from '#server/database'
import { readFont } from '#server/fonts'
import { pictureAt, readOriginal } from '#server/pictures'
import { getSite, markExported } from '#server/sites'
import { exportFiles } from '#server/web-export'
import type { Route } from './+types/export'
import { answering } from './answers'

/** The export as a zip: pages, stylesheet, pictures and fonts; minified with `?style=minified`. */
export function loader({ request, params }: Route.LoaderArgs) {
  return answering(async () => {
    const { site, revision } = getSite(store(), params.siteId)
    const style = new URL(request.url).searchParams.get('style') === 'minified' ? 'minified' : 'readable'
    const { files } = await exportFiles(
      site,
      style,
      (picture, width) => (width === null ? readOriginal(store(), picture.hash) : pictureAt(store(), picture.hash, width)),
      (name) => readFont(name, store().folder),
    )
    markExported(store(), params.siteId, revision)
    // Pictures and fonts are packed already.
    const packed = (file: string) => /\.(webp|woff2)$/.test(file)
    const zip = zipSync(
      Object.fromEntries(files.map(({ file, bytes }) => [file, [bytes, { level: packed(file) ? 0 : 6 }] as const])),
      { mtime: new Date(1980, 0, 1) },
    )
    return new Response(zip, {
      headers: {
        'Content-Type': 'application/zip',
        'Content-Disposition': `attachment; filename="${slug(site.name)}.zip"`,
      },
    })
  })
}
