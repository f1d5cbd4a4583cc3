import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { FormatError } from '#core/formats/site-json'
import { endingOf, FILE_ENDINGS, type FileEnding, type LinkedFile, MAX_FILE } from '#core/site/linked-file'
import { weightInWords } from '#core/values/weight'
import type { Store } from './database'
import { writeWhole } from './files'
import { hashOf } from './hash'

const folderOf = ({ folder }: Pick<Store, 'folder'>) => join(folder, 'files')

const begins = (bytes: Uint8Array, ...signs: readonly number[]) => signs.every((one, i) => bytes[i] === one)
const isText = (bytes: Uint8Array): boolean => {
  try {
    return !new TextDecoder('utf-8', { fatal: true }).decode(bytes).includes('\0')
  } catch {
    return false
  }
}
const isZip = (bytes: Uint8Array) => begins(bytes, 0x50, 0x4b)

/** Whether bytes are what the end of their name says. */
const IS: Record<FileEnding, (bytes: Uint8Array) => boolean> = {
  pdf: (bytes) => begins(bytes, 0x25, 0x50, 0x44, 0x46, 0x2d),
  epub: isZip,
  odt: isZip,
  ods: isZip,
  zip: isZip,
  ics: (bytes) => isText(bytes) && /^\uFEFF?BEGIN:VCALENDAR/.test(new TextDecoder().decode(bytes.subarray(0, 64))),
  csv: isText,
  txt: isText,
  mp3: (bytes) => begins(bytes, 0x49, 0x44, 0x33) || (bytes[0] === 0xff && (bytes[1]! & 0xe0) === 0xe0),
  ogg: (bytes) => begins(bytes, 0x4f, 0x67, 0x67, 0x53),
}

/** Checks a file that links lead to. @throws FormatError if it is empty, too large, of another type, or not what its name says */
export function checkFile(bytes: Uint8Array, name: string): void {
  const ending = endingOf(name)
  if (!ending) throw new FormatError(`"${name}" is of no type that a site hands out. It may be ${FILE_ENDINGS.join(', ')}.`)
  if (bytes.length === 0) throw new FormatError(`"${name}" is empty.`)
  if (bytes.length > MAX_FILE)
    throw new FormatError(`"${name}" weighs ${weightInWords(bytes.length)}. A file may weigh 30 MB at most.`)
  if (!IS[ending](bytes)) throw new FormatError(`"${name}" is not what its name says: there is no ${ending.toUpperCase()} in it.`)
}

/**
 * Keeps a file that links lead to, under the hash of its bytes.
 * @throws FormatError as `checkFile` does; nothing is kept then
 */
export async function storeFile(store: Pick<Store, 'folder'>, bytes: Uint8Array, name: string): Promise<Omit<LinkedFile, 'id'>> {
  checkFile(bytes, name)
  const hash = hashOf(bytes)
  await writeWhole(folderOf(store), hash, bytes)
  return { name: name.slice(-200), hash, bytes: bytes.length }
}

const isHash = (hash: string) => /^[0-9a-f]{64}$/.test(hash)

/** True where a file that links lead to is kept here. */
export const hasLinked = (store: Pick<Store, 'folder'>, hash: string): boolean =>
  isHash(hash) && existsSync(join(folderOf(store), hash))

/** The bytes of a file that links lead to; `undefined` where it is not kept here. */
export async function readLinked(store: Pick<Store, 'folder'>, hash: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
  return hasLinked(store, hash) ? new Uint8Array(await readFile(join(folderOf(store), hash))) : undefined
}
