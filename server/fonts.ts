import { create, type Font } from 'fontkit'
import { convert } from 'fontverter'
import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import subset from 'subset-font'
import { FormatError } from '#core/formats/site-json'
import type { OwnFont } from '#core/type/own-font'
import { averageAdvance } from '#core/type/advance'
import { FAMILIES, fontFiles } from '#core/type/families'
import type { Store } from './database'
import { writeWhole } from './files'

/** Most that a font may weigh, bytes. */
export const MAX_FONT = 8 * 1024 * 1024

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

const cut = new Map<string, Promise<Uint8Array>>()

/** A font with no more characters than are asked for, as WOFF2; made once for each font and set of characters. */
export function cutFont(name: string, bytes: Uint8Array, characters: string): Promise<Uint8Array> {
  const key = `${name} ${characters}`
  const known = cut.get(key)
  if (known) return known
  if (cut.size > 200) cut.clear()
  const work = subset(Buffer.from(bytes), characters, { targetFormat: 'woff2' })
  cut.set(key, work)
  work.catch(() => cut.delete(key))
  return work
}

/** What every text in the Latin alphabet needs. */
const LATIN = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789'

function open(bytes: Uint8Array, name: string): Font {
  let font: ReturnType<typeof create>
  try {
    font = create(Buffer.from(bytes))
  } catch {
    throw new FormatError(`"${name}" is not a WOFF2, TTF or OTF font, or it is damaged.`)
  }
  if ('fonts' in font) throw new FormatError(`"${name}" is a collection of fonts. Upload one font of it.`)
  return font as Font
}

const classOf = (font: Font): OwnFont['class'] => {
  // The type of a font leaves out this table, which every font has.
  if ((font as Font & { post?: { isFixedPitch: number } }).post?.isFixedPitch) return 'mono'
  const [kind, serif] = font['OS/2'].panose as unknown as [number, number]
  if (/slab/i.test(font.familyName)) return 'slab'
  if (kind === 3 || kind === 4) return 'display'
  if (/serif/i.test(font.familyName) && !/sans/i.test(font.familyName)) return 'serif'
  return kind === 2 && serif >= 2 && serif <= 10 ? 'serif' : 'sans'
}

const clamp = (value: number, least: number, most: number) => Math.min(most, Math.max(least, Math.round(value)))

/** What a font's own tables say of it. */
function describe(font: Font, name: string): Omit<OwnFont, 'id' | 'hash'> {
  const missing = [...LATIN].filter((letter) => !font.hasGlyphForCodePoint(letter.codePointAt(0)!))
  if (missing.length > 0)
    throw new FormatError(
      `"${name}" lacks ${missing.length} of the 62 Latin letters and figures, “${missing[0]}” first, so pages cannot be set in it.`,
    )
  const em = (value: number) => value / font.unitsPerEm
  const axis = (font.variationAxes as Record<string, { min: number; max: number }>).wght
  const weight = clamp((font['OS/2'] as unknown as { usWeightClass: number }).usWeightClass, 1, 1000)
  const plain = (font.familyName || name.replace(/\.\w+$/, ''))
    .replace(/[^\p{L}\p{N} ._-]+/gu, ' ')
    .trim()
    .slice(0, 80)
  return {
    name: plain === '' ? 'Own font' : plain,
    class: classOf(font),
    weights: axis ? [clamp(axis.min, 1, 1000), clamp(axis.max, 1, 1000)] : [weight, weight],
    italic: font.italicAngle !== 0,
    licence: (font.copyright ?? '').slice(0, 500),
    metrics: {
      ascent: em(font.ascent),
      descent: -em(font.descent),
      lineGap: em(font.lineGap),
      capHeight: em(font.capHeight || font.ascent * 0.7),
      xHeight: em(font.xHeight || font.ascent * 0.5),
      averageAdvance: averageAdvance((letter) => em(font.glyphForCodePoint(letter.codePointAt(0)!).advanceWidth)),
    },
  }
}

/**
 * Keeps an uploaded font under the hash of its bytes, as WOFF2, and tells what its tables say of it.
 * @throws FormatError if it is too large, damaged, no font, or without Latin letters; nothing is kept then
 */
export async function storeFont(store: Pick<Store, 'folder'>, input: Uint8Array, name: string): Promise<Omit<OwnFont, 'id'>> {
  if (input.length === 0) throw new FormatError(`"${name}" is empty.`)
  if (input.length > MAX_FONT)
    throw new FormatError(`"${name}" weighs ${(input.length / 1024 / 1024).toFixed(1)} MB. A font may weigh 8 MB at most.`)
  const font = open(input, name)
  let described: Omit<OwnFont, 'id' | 'hash'>
  let bytes: Uint8Array
  try {
    described = describe(font, name)
    bytes = await convert(Buffer.from(input), 'woff2')
  } catch (error) {
    if (error instanceof FormatError) throw error
    throw new FormatError(`"${name}" is damaged: its tables cannot be read.`)
  }
  const hash = createHash('sha256').update(bytes).digest('hex')
  await writeWhole(ownFolder(store.folder), `${hash}.woff2`, bytes)
  return { ...described, hash }
}
