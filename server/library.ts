import { readFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import sharp from 'sharp'
import { z } from 'zod'
import { storePicture, type StoredPicture } from './pictures'
import type { Store } from './database'
import { MissingError } from './sites'

/** A picture of the local library, which stands in for a picture service. */
export type LibraryPicture = { name: string; title: string; words: string[]; width: number; height: number }

const FOLDER = resolve('library')
const indexSchema = z.array(
  z.object({ name: z.string(), title: z.string(), words: z.array(z.string()), width: z.number(), height: z.number() }),
)

let index: LibraryPicture[] | undefined
const pictures = (): LibraryPicture[] => (index ??= indexSchema.parse(JSON.parse(readFileSync(join(FOLDER, 'index.json'), 'utf8'))))

/** Pictures that have every word of a query, by the beginnings of their own words; all for an empty one. */
export function searchLibrary(query: string): LibraryPicture[] {
  const wanted = query
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
  return pictures().filter(({ title, words }) => {
    const all = [title, ...words].join(' ').toLowerCase().split(/\s+/)
    return wanted.every((word) => all.some((one) => one.startsWith(word)))
  })
}

async function bytesOf(name: string): Promise<Buffer> {
  if (!pictures().some((one) => one.name === name)) throw new MissingError('There is no such picture in the library.')
  return readFile(join(FOLDER, `${name}.jpg`))
}

const thumbnails = new Map<string, Promise<Uint8Array>>()

/** A small rendering of a library picture, 320 px wide, as WebP. */
export function libraryThumbnail(name: string): Promise<Uint8Array> {
  let made = thumbnails.get(name)
  if (!made) {
    made = bytesOf(name).then((bytes) => sharp(bytes).resize(320).webp({ quality: 78 }).toBuffer())
    made.catch(() => thumbnails.delete(name))
    thumbnails.set(name, made)
  }
  return made
}

/** Keeps a library picture as one of the store's own. */
export async function takeFromLibrary(store: Store, name: string): Promise<StoredPicture> {
  return storePicture(store, new Uint8Array(await bytesOf(name)), `${name}.jpg`)
}
