import { strFromU8, strToU8, zipSync } from 'fflate'
import type { Site } from '#core/site/schema'
import { endingOf, MAX_FILE } from '#core/site/linked-file'
import { FormatError, MAX_DOCUMENT, readSite, writeSite } from './site-json'
import { unpack } from './unpack'

const DOCUMENT = 'site.json'
const EXTENSIONS: Record<Site['pictures'][number]['type'], string> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/avif': 'avif',
  'image/svg+xml': 'svg',
  'video/mp4': 'mp4',
  'video/webm': 'webm',
}

const MB = 1024 * 1024
/** Most that a site file may unpack to, bytes, and each of its parts; a picture or font weighs what an upload may. */
const MAX_UNPACKED = 512 * MB
const MAX_PART = { pictures: 30 * MB, fonts: 8 * MB, files: MAX_FILE }

/** What an entry of a site file may weigh, bytes; `undefined` for one that is none of a site's. */
function mostOf(name: string): number | undefined {
  if (name === DOCUMENT) return MAX_DOCUMENT
  const [, folder] = /^(pictures|fonts|files)\/[0-9a-f]{64}\.[a-z0-9]+$/.exec(name) ?? []
  return folder === undefined ? undefined : MAX_PART[folder as keyof typeof MAX_PART]
}

/** The file of a picture beside a site: its hash, and the extension of its type. */
export const pictureFile = (picture: Site['pictures'][number]): string => `${picture.hash}.${EXTENSIONS[picture.type]}`

type Bytes = Map<string, Uint8Array>

/** A site with the bytes of its pictures, of its own fonts and of the files that it hands out, by hash. */
export type SiteFile = { site: Site; pictures: Bytes; fonts: Bytes; files: Bytes }

/** Writes a `.site.zip`: the document, the original of every picture in `pictures/`, the site's own fonts, and its files. */
export function writeSiteZip({
  site,
  pictures,
  fonts = new Map(),
  files: linked = new Map(),
}: Omit<SiteFile, 'fonts' | 'files'> & Partial<SiteFile>): Uint8Array<ArrayBuffer> {
  const files: Record<string, Uint8Array> = { [DOCUMENT]: strToU8(writeSite(site)) }
  for (const picture of site.pictures) {
    const bytes = pictures.get(picture.hash)
    if (bytes) files[`pictures/${pictureFile(picture)}`] = bytes
  }
  for (const { hash } of site.fonts) {
    const bytes = fonts.get(hash)
    if (bytes) files[`fonts/${hash}.woff2`] = bytes
  }
  for (const { hash, name } of site.files ?? []) {
    const bytes = linked.get(hash)
    if (bytes) files[`files/${hash}.${endingOf(name)}`] = bytes
  }
  // Pictures are compressed already; a fixed date makes equal sites equal files.
  return zipSync(files, { level: 0, mtime: new Date(1980, 0, 1) })
}

const nothingHeld = (): Omit<SiteFile, 'site'> => ({ pictures: new Map(), fonts: new Map(), files: new Map() })

/**
 * Reads a `.site.zip`, or the bare JSON of a site without pictures. Pictures, fonts and files are returned by hash, unchecked: the
 * caller must verify that the bytes have that hash.
 * @throws FormatError if it is neither, or too large
 */
export function readSiteFile(bytes: Uint8Array): SiteFile {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return { site: readSite(strFromU8(bytes)), ...nothingHeld() }
  const files = unpack(bytes, { what: 'The zip', most: MAX_UNPACKED, entry: mostOf })
  const document = files.get(DOCUMENT)
  if (!document) throw new FormatError(`The zip holds no "${DOCUMENT}", so it is not a site.`)
  const held = nothingHeld()
  for (const [name, content] of files) {
    const [folder, file] = name.split('/')
    if (folder === 'pictures' || folder === 'fonts' || folder === 'files') held[folder].set(file!.split('.')[0]!, content)
  }
  return { site: readSite(strFromU8(document)), ...held }
}
