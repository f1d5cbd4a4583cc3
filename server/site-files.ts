import { FormatError } from '#core/formats/site-json'
import type { Site } from '#core/site/schema'
import { createHash } from 'node:crypto'
import type { Store } from './database'
import { readFont, storeFont } from './fonts'
import { keptPictures, readOriginal, storePicture } from './pictures'
import { createSite } from './sites'
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
  const renamed = new Map<string, string>()
  for (const picture of file.site.pictures) {
    const content = file.pictures.get(picture.hash)
    if (!content) continue
    if (createHash('sha256').update(content).digest('hex') !== picture.hash) {
      throw new FormatError(`The picture "${picture.name}" in the file is not the one that the site was saved with.`)
    }
    const stored = await storePicture(store, content, picture.name)
    renamed.set(picture.hash, stored.hash)
  }
  for (const font of file.site.fonts) {
    const content = file.fonts.get(font.hash)
    if (!content) throw new FormatError(`The file lacks its font "${font.name}". Use the .site.zip, which holds it.`)
    const stored = await storeFont(store, content, font.name)
    renamed.set(font.hash, stored.hash)
  }
  const site: Site = {
    ...file.site,
    fonts: file.site.fonts.map((one) => ({ ...one, hash: renamed.get(one.hash)! })),
    pictures: file.site.pictures.map((one) => ({ ...one, hash: renamed.get(one.hash) ?? one.hash })),
  }
  const kept = keptPictures(
    store,
    site.pictures.map((one) => one.hash),
  )
  const lost = site.pictures.filter((one) => !kept.has(one.hash))
  if (lost.length > 0) {
    throw new FormatError(
      `The file lacks ${lost.length} of its pictures, "${lost[0]!.name}" first. Use the .site.zip, which holds them.`,
    )
  }
  return createSite(store, site)
}

/** A site as a `.site.zip` with the originals of its pictures and its own fonts. */
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
  return inThread(Symbol('file'), 'write-site', { site, pictures, fonts })
}
