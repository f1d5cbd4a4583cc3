import { strFromU8, strToU8, zipSync } from 'fflate'
import type { Site } from '#core/site/schema'
import { HOLDING_KINDS, type HoldingKind, HOLDINGS, namedBy, ofEachHolding } from './holdings'
import { FormatError, MAX_DOCUMENT, readSite, writeSite } from './site-json'
import { unpack } from './unpack'

const DOCUMENT = 'site.json'
const ENTRY = new RegExp(String.raw`^(${HOLDING_KINDS.join('|')})/([0-9a-f]{64})\.[a-z0-9]+$`)

/** Most that a site file may unpack to, bytes; each of its parts weighs what an upload may. */
export const MAX_UNPACKED = 512 * 1024 * 1024

const kindOf = (name: string) => ENTRY.exec(name)?.[1] as HoldingKind | undefined

/** What an entry of a site file may weigh, bytes; `undefined` for one that is none of a site's. */
function mostOf(name: string): number | undefined {
  if (name === DOCUMENT) return MAX_DOCUMENT
  const kind = kindOf(name)
  return kind && HOLDINGS[kind].most
}

type Bytes = Map<string, Uint8Array>

/** The bytes of all that a site consists of beside its document, by kind and hash. */
export type Held = Record<HoldingKind, Bytes>
/** A site with what it holds. */
export type SiteFile = { site: Site } & Held

/** Writes a `.site.zip`: the document, and what the site holds, in a folder for each kind. */
export function writeSiteZip({ site, ...held }: { site: Site } & Partial<Held>): Uint8Array<ArrayBuffer> {
  const entries: Record<string, Uint8Array> = { [DOCUMENT]: strToU8(writeSite(site)) }
  const named = namedBy(site)
  for (const kind of HOLDING_KINDS)
    for (const { hash, file } of named[kind]) {
      const bytes = held[kind]?.get(hash)
      if (bytes) entries[file] = bytes
    }
  // Pictures are compressed already; a fixed date makes equal sites equal files.
  return zipSync(entries, { level: 0, mtime: new Date(1980, 0, 1) })
}

/**
 * Reads a `.site.zip`, or the bare JSON of a site without pictures. What it holds is returned by hash, unchecked: the
 * caller must verify that the bytes have that hash.
 * @throws FormatError if it is neither, or too large
 */
export function readSiteFile(bytes: Uint8Array): SiteFile {
  const held: Held = ofEachHolding(() => new Map())
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return { site: readSite(strFromU8(bytes)), ...held }
  const entries = unpack(bytes, { what: 'The zip', most: MAX_UNPACKED, entry: mostOf })
  const document = entries.get(DOCUMENT)
  if (!document) throw new FormatError(`The zip holds no "${DOCUMENT}", so it is not a site.`)
  for (const [name, content] of entries) {
    const [, kind, hash] = ENTRY.exec(name) ?? []
    if (kind) held[kind as HoldingKind].set(hash!, content)
  }
  return { site: readSite(strFromU8(document)), ...held }
}
