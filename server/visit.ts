import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { ACCESS_FILE, ACCESS_SCRIPT } from '#core/render/access-script'
import type { Engine } from '#core/render/site'
import { WATCH_FILE, WATCH_SCRIPT } from '#core/render/watch-script'
import { iconNames } from '#core/render/site-icons'
import { endingOf, FILE_TYPES } from '#core/site/linked-file'
import type { Store } from './database'
import { readLinked } from './linked-files'
import { readFont } from './fonts'
import { iconFiles } from './site-icons'
import { typeOfWanted, wantedBytes } from './pictures'
import { getSite } from './sites'
import { printed } from './web-export'

const axe = createRequire(import.meta.url).resolve('axe-core/axe.min.js')

/** What looks at a page: axe, and what runs it. */
export const accessScript = async (): Promise<string> => `${await readFile(axe, 'utf8')}\n${ACCESS_SCRIPT}`

/** Types of texts, by the ends of their names. */
const TEXTS: Record<string, string> = {
  css: 'text/css',
  js: 'text/javascript',
  vtt: 'text/vtt',
  txt: 'text/plain',
  xml: 'application/xml',
  webmanifest: 'application/manifest+json',
}
const ICONS: Record<string, string> = { svg: 'image/svg+xml', ico: 'image/x-icon', png: 'image/png' }

/**
 * One file of a site as its export would have it; `undefined` if there is none of that name. What links hand out is saved,
 * since no viewer runs in a played page's sandbox.
 * @param engine what the page is played for, if not for what it runs in
 */
export async function visitFile(
  store: Store,
  id: string,
  name: string,
  engine?: Engine,
): Promise<{ bytes: Uint8Array | string; type: string; saved?: true } | undefined> {
  if (name === ACCESS_FILE) return { bytes: await accessScript(), type: 'text/javascript; charset=utf-8' }
  if (name === WATCH_FILE) return { bytes: WATCH_SCRIPT, type: 'text/javascript; charset=utf-8' }
  const { site } = getSite(store, id)
  const files = await printed(site, 'readable', 'played', {}, engine)
  const text = files.texts.find((one) => one.file === name)
  if (text)
    return {
      bytes: text.text,
      type: `${TEXTS[name.slice(name.lastIndexOf('.') + 1)] ?? 'text/html'}; charset=utf-8`,
    }
  const picture = files.pictures.find((one) => one.file === name)
  if (picture) {
    const bytes = await wantedBytes(store, picture)
    return bytes && { bytes, type: typeOfWanted(picture) }
  }
  const linked = files.linked.find((one) => one.file === name)?.linked
  if (linked) {
    const bytes = await readLinked(store, linked.hash)
    return bytes && { bytes, type: FILE_TYPES[endingOf(linked.name)!], saved: true }
  }
  if (files.icon && iconNames(files.icon).includes(name)) {
    const made = await iconFiles(
      site,
      files.icon,
      (picture, width, making) => wantedBytes(store, { picture, width, making }),
      (file) => readFont(file, store.folder),
    )
    const icon = made.find((one) => one.file === name)
    return icon && { bytes: icon.bytes, type: ICONS[name.slice(name.lastIndexOf('.') + 1)]! }
  }
  const font = files.fonts.find((one) => one.file === name)
  const bytes = font && (await readFont(font.font.name, store.folder))
  return bytes && { bytes, type: 'font/woff2' }
}
