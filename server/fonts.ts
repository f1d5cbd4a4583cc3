import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import { HOLDINGS } from '#core/formats/holdings'
import { FormatError } from '#core/formats/site-json'
import { MAX_FONT, type OwnFont } from '#core/type/own-font'
import { FAMILIES, fontFiles } from '#core/type/families'
import { weightInWords } from '#core/values/weight'
import type { Store } from './database'
import { writeWhole } from './files'
import { hashOf } from './hash'
import type { Made } from './threads/jobs'
import { inThread } from './threads/pool'

const folders = new Map(FAMILIES.flatMap((family) => fontFiles(family).map((file) => [file.name, family.id])))
const ownFolder = (folder: string) => join(folder, 'fonts')
const OWN = /^[0-9a-f]{64}\.woff2$/

const read = async (file: string) => (existsSync(file) ? new Uint8Array(await readFile(file)) : undefined)

/**
 * The bytes of a font file: one that ships with the application, or one that was uploaded.
 * @param folder where uploaded fonts are kept
 * @returns undefined for any other name
 */
export async function readFont(name: string, folder?: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
  if (folder !== undefined && OWN.test(name)) return read(join(ownFolder(folder), name))
  const family = folders.get(name)
  return family ? read(join(resolve('node_modules', '@fontsource-variable'), family, 'files', name)) : undefined
}

/** True where a font that was uploaded is kept here. */
export const hasFont = ({ folder }: Pick<Store, 'folder'>, hash: string): boolean => {
  const name = HOLDINGS.fonts.kept(hash)
  return OWN.test(name) && existsSync(join(ownFolder(folder), name))
}

const cut = new Map<string, Promise<Uint8Array>>()

/** A font with no more characters than are asked for, as WOFF2; made once for each font and set of characters. */
export function cutFont(owner: unknown, name: string, bytes: Uint8Array, characters: string): Promise<Uint8Array> {
  const key = `${name} ${characters}`
  const known = cut.get(key)
  if (known) return known
  if (cut.size > 200) cut.clear()
  const work = inThread(owner, 'cut-font', { bytes, characters })
  cut.set(key, work)
  work.catch(() => cut.delete(key))
  return work
}

/** Reads a font. @throws FormatError if it is empty, too large, damaged, no font, or without Latin letters */
export async function readOwnFont(input: Uint8Array, name: string): Promise<Made<'read-font'>> {
  if (input.length === 0) throw new FormatError(`"${name}" is empty.`)
  if (input.length > MAX_FONT)
    throw new FormatError(`"${name}" weighs ${weightInWords(input.length)}. A font may weigh 8 MB at most.`)
  return inThread(
    Symbol(name),
    'read-font',
    { bytes: input, name },
    { sentence: `"${name}" takes too long to read. It may be damaged.` },
  )
}

/**
 * Keeps an uploaded font under the hash of its bytes, as WOFF2, and tells what its tables say of it.
 * @throws FormatError as `readOwnFont` does; nothing is kept then
 */
export async function storeFont(store: Pick<Store, 'folder'>, input: Uint8Array, name: string): Promise<Omit<OwnFont, 'id'>> {
  const { bytes, ...described } = await readOwnFont(input, name)
  const hash = hashOf(bytes)
  await writeWhole(ownFolder(store.folder), HOLDINGS.fonts.kept(hash), bytes)
  return { ...described, hash }
}
