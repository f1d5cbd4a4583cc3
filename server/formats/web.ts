import { readFont } from '../fonts'
import { readLinked } from '../linked-files'
import { wantedBytes } from '../pictures'
import { markExported } from '../sites'
import { exportFiles } from '../web-export'
import { inThread } from '../threads/pool'
import type { Format } from './format'

/** Files that are packed already. */
const PACKED = /\.(webp|avif|jpg|png|woff2|zip|epub|od[st]|mp3|ogg)$/

/** The export as a zip: pages, stylesheet, pictures and fonts; minified with `?style=minified`, pictures, icons and `sizes` as they were asked for. */
export const web: Format = {
  what: 'pages, stylesheet, pictures and fonts',
  extension: '.zip',
  type: 'application/zip',
  taken: ({ store, record: { id, revision } }) => markExported(store, id, revision),
  async write({ store, record: { site }, query, choices }) {
    const owner = Symbol('export')
    const { files } = await exportFiles(
      site,
      query.get('style') === 'minified' ? 'minified' : 'readable',
      (picture, width, making) => wantedBytes(store, { picture, width, making }, owner),
      (name) => readFont(name, store.folder),
      choices,
      (file) => readLinked(store, file.hash),
    )
    return inThread(
      owner,
      'zip',
      Object.fromEntries(
        files.map(({ file, bytes }): [string, [Uint8Array, { level: 0 | 6 }]] => [
          file,
          [bytes, { level: PACKED.test(file) ? 0 : 6 }],
        ]),
      ),
    )
  },
}
