import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { ACCESS_FILE, ACCESS_SCRIPT } from '#core/render/access-script'
import type { Engine } from '#core/render/site'
import { WATCH_FILE, WATCH_SCRIPT } from '#core/render/watch-script'
import { iconNames } from '#core/render/site-icons'
import { endingOf, FILE_TYPES } from '#core/site/linked-file'
import type { Site } from '#core/site/schema'
import type { Store } from './database'
import { readLinked } from './linked-files'
import { readFont } from './fonts'
import { iconFiles } from './site-icons'
import { typeOfWanted, wantedBytes } from './pictures'
import { getSite } from './sites'
import type { Printed } from './threads/jobs'
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

/** The print of a site that visitors get: of which document, whether it is there yet, the one before it, and the one to come. */
type Played = { site: Site; files: Promise<Printed>; there: boolean; last: Printed | undefined; next?: Promise<Printed> }

const playing = new WeakMap<Store, Map<string, Played>>()

/**
 * The files of a site as it stands. While they are printed, those who ask for a newer state wait for one print of whatever is
 * newest then: a site that is edited without pause is printed once after the other, however many read it.
 */
function played(store: Store, id: string, engine?: Engine): Promise<Printed> {
  let ofStore = playing.get(store)
  if (!ofStore) playing.set(store, (ofStore = new Map()))
  const key = `${id} ${engine ?? ''}`
  const { site } = getSite(store, id)
  const known = ofStore.get(key)
  if (known?.site === site) return known.files
  if (known && !known.there)
    return (known.next ??= known.files.then(
      () => played(store, id, engine),
      () => played(store, id, engine),
    ))
  const now: Played = { site, files: printed(site, 'readable', 'played', {}, engine), there: false, last: known?.last }
  ofStore.set(key, now)
  now.files.then(
    (files) => Object.assign(now, { there: true, last: files }),
    () => ofStore.delete(key),
  )
  return now.files
}

/**
 * One file of a site as its export would have it; `undefined` if there is none of that name. What links hand out is saved,
 * since no viewer runs in a played page's sandbox.
 * @param engine what the page is played for, if not for what it runs in
 * @param part true for what a page that was given out asks for: it is of a print no older than the page, and waits for none
 */
export async function visitFile(
  store: Store,
  id: string,
  name: string,
  engine?: Engine,
  part = false,
): Promise<{ bytes: Uint8Array | string; type: string; saved?: true } | undefined> {
  if (name === ACCESS_FILE) return { bytes: await accessScript(), type: 'text/javascript; charset=utf-8' }
  if (name === WATCH_FILE) return { bytes: WATCH_SCRIPT, type: 'text/javascript; charset=utf-8' }
  const { site } = getSite(store, id)
  const files = (part && playing.get(store)?.get(`${id} ${engine ?? ''}`)?.last) || (await played(store, id, engine))
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
