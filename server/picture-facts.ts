import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { parse } from 'icc'
import sharp from 'sharp'
import { type PictureFacts, factsSchema } from '#core/picture/facts'
import type { Store } from './database'
import { writeWhole } from './files'
import { MAX_PIXELS, pictureType, readOriginal, resizing } from './pictures'

/** Width at which pictures are looked at, so that their figures can be compared, px. */
const LOOKED_AT = 1600

/** Bits of a channel, by what sharp calls them. */
const DEPTHS: Record<string, number> = { uchar: 8, char: 8, ushort: 16, short: 16, uint: 32, int: 32, float: 32, double: 64 }

function profileName(icc: Buffer | undefined): string | undefined {
  if (!icc) return undefined
  try {
    return parse(icc).description ?? 'without a name'
  } catch {
    return 'that cannot be read'
  }
}

async function lookAt(bytes: Uint8Array): Promise<PictureFacts> {
  const image = sharp(bytes, { limitInputPixels: MAX_PIXELS })
  const metadata = await image.metadata()
  const { data, info } = await image
    .clone()
    .autoOrient()
    .resize({ width: LOOKED_AT, withoutEnlargement: true })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true })
  let through = 0
  for (let n = 3; n < data.length; n += 4) if (data[n]! < 255) through++
  const raw = { width: info.width, height: info.height, channels: info.channels }
  const { sharpness } = await sharp(data, { raw }).removeAlpha().stats()
  const profile = profileName(metadata.icc)
  return {
    bytes: bytes.length,
    space: metadata.space ?? 'srgb',
    ...(profile === undefined ? {} : { profile }),
    depth: DEPTHS[metadata.depth ?? 'uchar'] ?? 8,
    frames: metadata.pages ?? 1,
    transparent: through / (data.length / 4),
    sharpness: Number(sharpness.toFixed(2)),
  }
}

/** The facts of a picture, looked at once and kept; `undefined` if it is not kept here. */
export async function pictureFacts(store: Store, hash: string): Promise<PictureFacts | undefined> {
  const folder = join(store.folder, 'derivatives')
  const file = join(folder, `${hash}-facts.json`)
  if (existsSync(file)) {
    const known = factsSchema.safeParse(JSON.parse(await readFile(file, 'utf8')))
    if (known.success) return known.data
  }
  const bytes = await readOriginal(store, hash)
  if (!bytes || pictureType(store, hash)?.startsWith('video/')) return undefined
  // In turn with the making of pictures, so that forty at once hold up nothing else.
  const facts = await resizing(hash, () => lookAt(bytes))
  await writeWhole(folder, `${hash}-facts.json`, new TextEncoder().encode(JSON.stringify(facts)))
  return facts
}
