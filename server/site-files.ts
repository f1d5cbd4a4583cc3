import { HOLDING_KINDS, type HoldingKind, HOLDINGS, namedBy, ofEachHolding } from '#core/formats/holdings'
import { FormatError } from '#core/formats/site-json'
import type { Held } from '#core/formats/site-zip'
import type { Site } from '#core/site/schema'
import type { Store } from './database'
import { hasFont, readFont, storeFont } from './fonts'
import { checkHash } from './hash'
import { hasLinked, readLinked, storeFile } from './linked-files'
import { keptPictures, readOriginal, storePicture } from './pictures'
import { keepSite } from './sites'
import { inThread } from './threads/pool'

type Keeper = {
  /** Checks and cleans bytes as an upload is, and keeps them under their hash. */
  keep: (store: Store, bytes: Uint8Array, name: string) => Promise<{ hash: string }>
  read: (store: Store, hash: string) => Promise<Uint8Array | undefined>
  has: (store: Store, hash: string) => boolean
}

/** How this server keeps what a site holds. */
export const KEEPERS: Record<HoldingKind, Keeper> = {
  pictures: { keep: storePicture, read: readOriginal, has: (store, hash) => keptPictures(store, [hash]).has(hash) },
  fonts: { keep: storeFont, read: (store, hash) => readFont(HOLDINGS.fonts.kept(hash), store.folder), has: hasFont },
  files: { keep: storeFile, read: readLinked, has: hasLinked },
}

function lacking(what: string, names: readonly string[]): FormatError {
  const [lacks, which] =
    names.length === 1 ? [`its ${what} "${names[0]}"`, 'it'] : [`${names.length} of its ${what}s, "${names[0]}" first`, 'them']
  return new FormatError(`The file lacks ${lacks}. Use the .site.zip, which holds ${which}.`)
}

/**
 * Opens a site file as a new site. Everything in it is checked and cleaned as an upload is, and must have the hash that
 * it is filed under. What it lacks may be kept here already.
 * @returns the new site's id
 * @throws FormatError; nothing is kept then but what no site uses
 */
export async function importSite(store: Store, bytes: Uint8Array): Promise<string> {
  const file = await inThread(Symbol('import'), 'read-site', bytes, {
    sentence: 'The site file takes too long to read, or has more in it than can be opened.',
  })
  let { document } = file
  for (const kind of HOLDING_KINDS) {
    const { what } = HOLDINGS[kind]
    const lost: string[] = []
    for (const { hash, name } of file.named[kind]) {
      const content = file[kind].get(hash)
      if (!content) {
        if (!KEEPERS[kind].has(store, hash)) lost.push(name)
        continue
      }
      checkHash(content, hash, what, name)
      const stored = await KEEPERS[kind].keep(store, content, name)
      // What was cleaned has another hash, and a hash is the name of nothing else.
      if (stored.hash !== hash) document = document.replaceAll(hash, stored.hash)
    }
    if (lost.length > 0) throw lacking(what, lost)
  }
  return keepSite(store, document)
}

/** A site as a `.site.zip` with all that it holds: the originals of its pictures, its own fonts and its files. */
export async function exportSiteFile(store: Store, site: Site): Promise<Uint8Array<ArrayBuffer>> {
  const held: Held = ofEachHolding(() => new Map())
  const named = namedBy(site)
  for (const kind of HOLDING_KINDS)
    for (const { hash } of named[kind]) {
      const bytes = await KEEPERS[kind].read(store, hash)
      if (bytes) held[kind].set(hash, bytes)
    }
  return inThread(Symbol('file'), 'write-site', { site, ...held })
}
