import { Unzip, UnzipInflate } from 'fflate'
import { joined } from '#core/values/bytes'
import { limitInWords } from '#core/values/weight'
import { FormatError } from './site-json'

/** How much of a zip is unpacked at a time, bytes: what is wrong with it is found before more than this has been made of it. */
const STEP = 64 * 1024

/** What may come out of a zip. */
export type Unpacking = {
  /** What is unpacked, for the sentences: “The zip”. */
  what: string
  /** Bytes that all that is unpacked may weigh together. */
  most: number
  /** Bytes that the entry of a name may weigh; `undefined` for one that is left packed. */
  entry: (name: string) => number | undefined
}

/**
 * Unpacks a zip, counting what really comes out of it and not what it says of itself.
 * @throws FormatError if more comes out than may, or if the zip is damaged, or holds two entries of one name
 */
export function unpack(bytes: Uint8Array, { what, most, entry }: Unpacking): Map<string, Uint8Array> {
  const files = new Map<string, Uint8Array>()
  const damaged = () => new FormatError(`${what} is damaged and cannot be unpacked.`)
  let total = 0
  let open = 0
  let failed: FormatError | undefined
  // The reader catches what is thrown while it reads, and tells of it as damage; what was found first is what is said.
  const fail = (sentence: string): never => {
    throw (failed ??= new FormatError(sentence))
  }
  const unzip = new Unzip((file) => {
    const limit = entry(file.name)
    if (limit === undefined) return
    if (files.has(file.name)) fail(`${what} holds two files named “${file.name.slice(0, 80)}”.`)
    const parts: Uint8Array[] = []
    let weight = 0
    files.set(file.name, new Uint8Array())
    open++
    file.ondata = (error, part, final) => {
      if (error) throw failed ?? damaged()
      total += part.length
      weight += part.length
      if (weight > limit) fail(`“${file.name.slice(0, 80)}” in it weighs more than ${limitInWords(limit)}, so it is not opened.`)
      if (total > most) fail(`${what} unpacks to more than ${limitInWords(most)}, so it is not opened.`)
      parts.push(part)
      if (!final) return
      open--
      files.set(file.name, joined(parts))
    }
    file.start()
  })
  unzip.register(UnzipInflate)
  try {
    for (let at = 0; at < bytes.length; at += STEP) unzip.push(bytes.subarray(at, at + STEP), at + STEP >= bytes.length)
  } catch (error) {
    throw failed ?? (error instanceof FormatError ? error : damaged())
  }
  if (open > 0) throw damaged()
  return files
}
