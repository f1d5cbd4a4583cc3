import { eq, inArray } from 'drizzle-orm'
import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import sharp, { type Metadata, type Sharp } from 'sharp'
import { FormatError } from '#core/formats/site-json'
import { MAX_SVG } from '#core/formats/svg'
import { extensionOf, type WantedPicture } from '#core/formats/web-files'
import { type Making, MAX_PICTURE, MAX_SIDE, type Picture, type PictureFormat } from '#core/picture/picture'
import { weightInWords } from '#core/values/weight'
import type { Store } from './database'
import { writeWhole } from './files'
import { hashOf } from './hash'
import { pictures } from './schema'
import { fairQueue } from './threads/fair-queue'
import { looksLikeFilm } from './threads/film-file'
import { inThread } from './threads/pool'

// Each picture is read once, so what sharp remembers of it would only take memory.
sharp.cache(false)

/** Most pixels that a picture may have, so that a small file cannot unpack into all the memory. */
export const MAX_PIXELS = 200_000_000

const TYPES: Record<string, Picture['type']> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  heif: 'image/avif',
}

export type StoredPicture = Pick<Picture, 'hash' | 'type' | 'width' | 'height' | 'bytes'>

const originals = (store: Store) => join(store.folder, 'pictures')
const derivatives = (store: Store) => join(store.folder, 'derivatives')

/** True for a text that has an svg element: a photo may have one among its notes, but begins with other bytes. */
const looksLikeSvg = (bytes: Uint8Array) => {
  const start = new TextDecoder()
    .decode(bytes.subarray(0, 4096))
    .replace(/^\uFEFF/, '')
    .trimStart()
  return start.startsWith('<') && /<svg[\s>]/i.test(start)
}

const isPicture = (bytes: Uint8Array): Promise<boolean> =>
  sharp(bytes, { limitInputPixels: false })
    .metadata()
    .then(
      () => true,
      () => false,
    )

/** A picture, or a video, as it is kept: an SVG is cleaned, all others are as they came. */
export type ReadPicture = { bytes: Uint8Array; type: Picture['type']; width: number; height: number }

/** Reads a picture or a video. @throws FormatError if it is empty, too large, damaged, or of another kind */
export async function readPicture(bytes: Uint8Array, name: string): Promise<ReadPicture> {
  if (bytes.length === 0) throw new FormatError(`"${name}" is empty.`)
  if (bytes.length > MAX_PICTURE)
    throw new FormatError(`"${name}" weighs ${weightInWords(bytes.length)}. A picture may weigh 30 MB at most.`)
  if (looksLikeSvg(bytes)) {
    if (bytes.length > MAX_SVG)
      throw new FormatError(`"${name}" weighs ${weightInWords(bytes.length)}. An SVG picture may weigh 2 MB at most.`)
    const clean = await inThread(Symbol(name), 'clean-svg', new TextDecoder().decode(bytes), {
      sentence: `"${name}" takes too long to clean. Simplify its paths, or use a PNG.`,
    })
    return {
      bytes: new TextEncoder().encode(clean.text),
      type: 'image/svg+xml',
      width: clean.width,
      height: clean.height,
    }
  }
  // AVIF pictures begin as MP4 does, so that it is a picture is tried first.
  if (looksLikeFilm(bytes) && !(await isPicture(bytes))) {
    // What a film says of itself is read in a moment; a damaged one may have its reader look without end.
    const most = { ms: 5000, sentence: `"${name}" takes too long to read: it is damaged.` }
    const film = await inThread(Symbol(name), 'read-film', { bytes, name }, most)
    return { bytes, ...film }
  }
  let metadata: Metadata
  try {
    metadata = await sharp(bytes, { limitInputPixels: false }).metadata()
  } catch {
    throw new FormatError(`"${name}" is not a JPEG, PNG, WebP, AVIF or SVG picture, nor an MP4 or WebM video, or it is damaged.`)
  }
  const type = metadata.format === 'heif' && metadata.compression !== 'av1' ? undefined : TYPES[metadata.format ?? '']
  if (!type || !metadata.width || !metadata.height) {
    throw new FormatError(`"${name}" is a ${metadata.format} picture. JPEG, PNG, WebP, AVIF and SVG can be used.`)
  }
  if (metadata.width * metadata.height > MAX_PIXELS)
    throw new FormatError(
      `"${name}" has ${Math.round((metadata.width * metadata.height) / 1e6)} megapixels. A picture may have 200 at most.`,
    )
  if (Math.max(metadata.width, metadata.height) > MAX_SIDE)
    throw new FormatError(
      `"${name}" is ${metadata.width} × ${metadata.height} px. A picture may be ${MAX_SIDE.toLocaleString('en-GB')} px long at most.`,
    )
  try {
    // Reading all of it finds a file that was cut short, which its header does not show.
    await sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'truncated' }).resize(16).toBuffer()
  } catch {
    throw new FormatError(`"${name}" is damaged: only part of the picture can be read.`)
  }
  const turned = (metadata.orientation ?? 1) >= 5
  return {
    bytes,
    type,
    width: turned ? metadata.height : metadata.width,
    height: turned ? metadata.width : metadata.height,
  }
}

/**
 * Keeps a picture, or a video, under the hash of its bytes. An SVG is cleaned first; all others are kept as they came.
 * @throws FormatError if it is too large, damaged, or of another kind
 */
export async function storePicture(store: Store, input: Uint8Array, name: string): Promise<StoredPicture> {
  const { bytes, type, width, height } = await readPicture(input, name)
  const hash = hashOf(bytes)
  await writeWhole(originals(store), hash, bytes)
  store.db
    .insert(pictures)
    .values({ hash, type, width, height, bytes: bytes.length, createdAt: new Date() })
    .onConflictDoNothing()
    .run()
  return { hash, type, width, height, bytes: bytes.length }
}

/** The original bytes of a picture; `undefined` if it is not kept here. */
export async function readOriginal(store: Store, hash: string): Promise<Uint8Array | undefined> {
  const file = join(originals(store), hash)
  return existsSync(file) ? new Uint8Array(await readFile(file)) : undefined
}

/** The hashes, out of some, that are kept here. */
export function keptPictures(store: Store, hashes: readonly string[]): Set<string> {
  if (hashes.length === 0) return new Set()
  const rows = store.db
    .select({ hash: pictures.hash })
    .from(pictures)
    .where(inArray(pictures.hash, [...hashes]))
    .all()
  return new Set(rows.map((row) => row.hash))
}

/** Threads that Node has for files and pictures; two are left free, so that no file waits for a picture. */
const THREADS = Number(process.env.UV_THREADPOOL_SIZE ?? 4)
export const resizing = fairQueue(Math.max(1, Math.min(availableParallelism(), THREADS - 2)))

/** Widths that the screens show pictures in, px. */
const SHOWN = [160, 320, 640, 1200, 1600, 2400, 4000] as const

/** The least of the widths that pictures are shown in which is no less than the one that is asked for, px. */
export const shownWidth = (asked: number): number => SHOWN.find((one) => one >= asked) ?? SHOWN.at(-1)!

const beingMade = new Map<string, Promise<Uint8Array>>()

/**
 * A picture at a width in px, as WebP; made at its first use and kept. `undefined` if the picture is not kept here.
 * @param owner who asks: of those who wait each is served in turn
 */
export async function pictureAt(
  store: Store,
  hash: string,
  width: number,
  owner: unknown = Symbol(hash),
  making: Making = {},
): Promise<Uint8Array | undefined> {
  const { turn, opacity, format = 'webp' } = making
  const made = `${turn ? `-t${turn}` : ''}${opacity === undefined ? '' : `-o${Math.round(opacity * 100)}`}`
  const name = `${hash}-${width}${made}.${format}`
  const file = join(derivatives(store), name)
  if (existsSync(file)) return new Uint8Array(await readFile(file))
  if (!existsSync(join(originals(store), hash))) return undefined
  // Asked now, since its turn may come when the store is closed.
  const own = pictureType(store, hash)
  if (own?.startsWith('video/')) return undefined
  let work = beingMade.get(name)
  if (!work) {
    work = resizing(owner, () => madeOf(join(originals(store), hash), width, making, own))
      .then(async (bytes) => {
        await writeWhole(derivatives(store), name, bytes)
        return new Uint8Array(bytes)
      })
      .finally(() => beingMade.delete(name))
    beingMade.set(name, work)
  }
  return work
}

/** A picture made at a width, px: turned, let through and in a format as it is asked for. @param own the type that it came in */
export async function madeOf(
  source: string | Uint8Array,
  width: number,
  { turn, opacity, format = 'webp' }: Making = {},
  own?: Picture['type'],
): Promise<Buffer> {
  const image = (await opened(source, width, turn, own)).autoOrient().rotate(turn ?? 0)
  return encoded(await shownAs(image, width, opacity), format, own)
}

/** Longest side that WebP (RFC 9649) and the encoder of AVIF take, px; a picture that is longer is made smaller. */
const MOST_MADE = 16_383
/** Px that a unit of a drawing has at 72 to the inch. */
const DENSITY = 72

/** A picture to make another of: a drawing as large as it is needed, since it may say that it is larger than any memory. */
async function opened(source: string | Uint8Array, width: number, turn: Making['turn'], own?: Picture['type']): Promise<Sharp> {
  if (own !== 'image/svg+xml') return sharp(source, { limitInputPixels: MAX_PIXELS })
  const drawn = await sharp(source, { limitInputPixels: false }).metadata()
  const across = turn === 90 || turn === 270 ? drawn.height : drawn.width
  // A little more than is needed, so that nothing is lost to rounding.
  const scale = Math.min(1, (1.01 * width) / across, MOST_MADE / Math.max(drawn.width, drawn.height))
  return sharp(source, { limitInputPixels: MAX_PIXELS, density: Math.max(1, DENSITY * scale) })
}

/** A picture at a width, let through where it is to be. */
async function shownAs(image: Sharp, width: number, opacity: number | undefined): Promise<Sharp> {
  const sized = image.resize({ width, height: MOST_MADE, fit: 'inside', withoutEnlargement: true })
  if (opacity === undefined) return sized
  // Each pixel keeps that share of the opacity which it has.
  const { data, info } = await sized.ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  for (let n = 3; n < data.length; n += 4) data[n] = Math.round(data[n]! * opacity)
  return sharp(data, { raw: { width: info.width, height: info.height, channels: 4 } })
}

/** The bytes of a picture in a format; in its own where that is asked for, and as a PNG where it was drawn. */
function encoded(image: Sharp, format: PictureFormat, own: Picture['type'] | undefined): Promise<Buffer> {
  if (format === 'avif' || (format === 'own' && own === 'image/avif')) return image.avif({ quality: 55, effort: 3 }).toBuffer()
  if (format === 'webp' || own === 'image/webp') return image.webp({ quality: 78, effort: 3 }).toBuffer()
  return own === 'image/jpeg' ? image.jpeg({ quality: 82, mozjpeg: true }).toBuffer() : image.png().toBuffer()
}

/** The bytes of a picture that a page names. */
export const wantedBytes = (
  store: Store,
  { picture, width, making }: Pick<WantedPicture, 'picture' | 'width' | 'making'>,
  owner?: unknown,
): Promise<Uint8Array | undefined> =>
  width === null ? readOriginal(store, picture.hash) : pictureAt(store, picture.hash, width, owner, making)

/** The type of what `wantedBytes` gives. */
export function typeOfWanted({ picture, width, making }: WantedPicture): string {
  const format = making?.format ?? 'webp'
  if (width === null) return picture.type
  return format === 'own' ? `image/${extensionOf(picture).replace('jpg', 'jpeg')}` : `image/${format}`
}

/** The type of a picture that is kept here. */
export function pictureType(store: Store, hash: string): Picture['type'] | undefined {
  const row = store.db.select({ type: pictures.type }).from(pictures).where(eq(pictures.hash, hash)).get()
  return row?.type as Picture['type'] | undefined
}
