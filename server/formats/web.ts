import { zipSync } from 'fflate'
import { readFont } from '../fonts'
import { pictureAt, readOriginal } from '../pictures'
import { markExported } from '../sites'
import { exportFiles } from '../web-export'
import type { Format } from './format'

/** Files that are packed already. */
const PACKED = /\.(webp|woff2)$/

/** The export as a zip: pages, stylesheet, pictures and fonts; minified with `?style=minified`. */
export const web: Format = {
  what: 'pages, stylesheet, pictures and fonts',
  extension: '.zip',
  type: 'application/zip',
  async write({ store, record: { id, site, revision }, query }) {
    const { files } = await exportFiles(
      site,
      query.get('style') === 'minified' ? 'minified' : 'readable',
      (picture, width) => (width === null ? readOriginal(store, picture.hash) : pictureAt(store, picture.hash, width)),
      (name) => readFont(name, store.folder),
    )
    markExported(store, id, revision)
    return zipSync(
      Object.fromEntries(files.map(({ file, bytes }) => [file, [bytes, { level: PACKED.test(file) ? 0 : 6 }] as const])),
      { mtime: new Date(1980, 0, 1) },
    )
  },
}
