import { webFiles, type WebFiles } from '#core/formats/web-files'
import type { Store } from './database'
import { readFont } from './fonts'
import { pictureAt, readOriginal } from './pictures'
import { getSite } from './sites'

const printed = new WeakMap<Store, Map<string, { revision: number; files: WebFiles }>>()

/** The files of a site's newest revision, printed once for each. */
function filesOf(store: Store, id: string): WebFiles {
  const { revision, site } = getSite(store, id)
  let sites = printed.get(store)
  if (!sites) printed.set(store, (sites = new Map()))
  const known = sites.get(id)
  if (known?.revision === revision) return known.files
  // Forms reach the local inbox, wherever the export would send them.
  const files = webFiles(site, 'readable', (form) => `forms/${form.id}`)
  sites.set(id, { revision, files })
  return files
}

/** One file of a site as its export would have it; `undefined` if there is none of that name. */
export async function visitFile(
  store: Store,
  id: string,
  name: string,
): Promise<{ bytes: Uint8Array | string; type: string } | undefined> {
  const files = filesOf(store, id)
  const text = files.texts.find((one) => one.file === name)
  if (text)
    return {
      bytes: text.text,
      type: name.endsWith('.css') ? 'text/css; charset=utf-8' : 'text/html; charset=utf-8',
    }
  const picture = files.pictures.find((one) => one.file === name)
  if (picture) {
    const { hash } = picture.picture
    const bytes = picture.width === null ? await readOriginal(store, hash) : await pictureAt(store, hash, picture.width)
    return bytes && { bytes, type: picture.width === null ? 'image/svg+xml' : 'image/webp' }
  }
  const font = files.fonts.find((one) => one.file === name)
  const bytes = font && (await readFont(font.font.name, store.folder))
  return bytes && { bytes, type: 'font/woff2' }
}
