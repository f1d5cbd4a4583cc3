import { FormatError } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import { createHash } from 'node:crypto'
import type { Store } from './database'
import { readFont, storeFont } from './fonts'
import { readLinked, storeFile } from './linked-files'
import { keptPictures, readOriginal, storePicture } from './pictures'
import { keepSite } from './sites'
import { inThread } from './threads/pool'

/**
 * Opens a site file as a new site. Every picture is checked and cleaned as an upload is, and must have the hash that
 * it is filed under.
 * @returns the new site's id
 * @throws FormatError; nothing is kept then but pictures that no site uses
 */
export async function importSite(store: Store, bytes: Uint8Array): Promise<string> {
  const file = await inThread(Symbol('import'), 'read-site', bytes, {
    sentence: 'The site file takes too long to read, or has more in it than can be opened.',
  })
  let { document } = file
  for (const picture of file.named.pictures) {
    const content = file.pictures.get(picture.hash)
    if (!content) continue
    if (createHash('sha256').update(content).digest('hex') !== picture.hash) {
      throw new FormatError(`The picture "${picture.name}" in the file is not the one that the site was saved with.`)
    }
    const stored = await storePicture(store, content, picture.name)
    // What was cleaned has another hash, and a hash is the name of nothing else.
    if (stored.hash !== picture.hash) document = document.replaceAll(picture.hash, stored.hash)
  }
  for (const font of file.named.fonts) {
    const content = file.fonts.get(font.hash)
    if (!content) throw new FormatError(`The file lacks its font "${font.name}". Use the .site.zip, which holds it.`)
    const stored = await storeFont(store, content, font.name)
    if (stored.hash !== font.hash) document = document.replaceAll(font.hash, stored.hash)
  }
  for (const { hash, name } of file.named.files) {
    const content = file.files.get(hash) ?? (await readLinked(store, hash))
    if (!content) throw new FormatError(`The file lacks "${name}", which it hands out. Use the .site.zip, which holds it.`)
    const stored = await storeFile(store, content, name)
    if (stored.hash !== hash) throw new FormatError(`"${name}" in the file is not the one that the site was saved with.`)
  }
  const without = file.named.pictures.filter((one) => !file.pictures.has(one.hash))
  const kept = keptPictures(
    store,
    without.map((one) => one.hash),
  )
  const lost = without.filter((one) => !kept.has(one.hash))
  if (lost.length > 0) {
    throw new FormatError(
      `The file lacks ${lost.length} of its pictures, "${lost[0]!.name}" first. Use the .site.zip, which holds them.`,
    )
  }
  return keepSite(store, document)
}

/** A site as a `.site.zip` with the originals of its pictures, its own fonts and its files. */
export async function exportSiteFile(store: Store, site: Site): Promise<Uint8Array<ArrayBuffer>> {
  const pictures = new Map<string, Uint8Array>()
  for (const { hash } of site.pictures) {
    const bytes = await readOriginal(store, hash)
    if (bytes) pictures.set(hash, bytes)
  }
  const fonts = new Map<string, Uint8Array>()
  for (const { hash } of site.fonts) {
    const bytes = await readFont(`${hash}.woff2`, store.folder)
    if (bytes) fonts.set(hash, bytes)
  }
  const files = new Map<string, Uint8Array>()
  for (const { hash } of site.files ?? []) {
    const bytes = await readLinked(store, hash)
    if (bytes) files.set(hash, bytes)
  }
  return inThread(Symbol('file'), 'write-site', { site, pictures, fonts, files })
}
