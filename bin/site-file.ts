import { existsSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { HOLDING_KINDS, type HoldingKind, HOLDINGS, namedBy } from '#core/formats/holdings'
import { FormatError } from '#core/formats/site-json'
import { readSiteFile, type SiteFile } from '#core/formats/site-zip'
import { readOwnFont } from '#server/fonts'
import { checkHash } from '#server/hash'
import { checkFile } from '#server/linked-files'
import { readPicture } from '#server/pictures'

/** Checks and cleans what a site holds as an upload to the server is. @throws FormatError */
const CHECKS: Record<HoldingKind, (bytes: Uint8Array, name: string) => Promise<Uint8Array>> = {
  pictures: async (bytes, name) => (await readPicture(bytes, name)).bytes,
  fonts: async (bytes, name) => (await readOwnFont(bytes, name)).bytes,
  files(bytes, name) {
    checkFile(bytes, name)
    return Promise.resolve(bytes)
  },
}

/**
 * Reads a site file for a command, by the doors that the server has: what it holds, or what lies beside its JSON, must have
 * the hash that it is named by, and be what it says. What is nowhere is left out.
 * @throws FormatError if there is no such file, it is no site, or something in it is not what it should be
 */
export async function openSiteFile(path: string): Promise<SiteFile> {
  if (!existsSync(path)) throw new FormatError(`There is no file "${path}".`)
  if (!statSync(path).isFile()) throw new FormatError(`"${path}" is a folder. Name the .site.json or .site.zip in it.`)
  const file = readSiteFile(new Uint8Array(readFileSync(path)))
  const named = namedBy(file.site)
  for (const kind of HOLDING_KINDS)
    for (const { hash, name, file: inFile } of named[kind]) {
      const beside = join(dirname(resolve(path)), inFile)
      const bytes = file[kind].get(hash) ?? (existsSync(beside) ? new Uint8Array(readFileSync(beside)) : undefined)
      if (!bytes) continue
      checkHash(bytes, hash, HOLDINGS[kind].what, name)
      file[kind].set(hash, await CHECKS[kind](bytes, name))
    }
  return file
}
