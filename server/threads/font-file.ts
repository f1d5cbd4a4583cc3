import { create, type Font } from 'fontkit'
import { convert } from 'fontverter'
import subset from 'subset-font'
import { FormatError } from '#core/formats/site-json'
import { averageAdvance } from '#core/type/advance'
import type { OwnFont } from '#core/type/own-font'

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
 * What a font's tables say of it, and the font as WOFF2.
 * @throws FormatError if it is damaged, no font, or without Latin letters
 */
export async function readFontFile({
  bytes,
  name,
}: {
  bytes: Uint8Array
  name: string
}): Promise<Omit<OwnFont, 'id' | 'hash'> & { bytes: Uint8Array }> {
  const font = open(bytes, name)
  try {
    const described = describe(font, name)
    return { ...described, bytes: await convert(Buffer.from(bytes), 'woff2') }
  } catch (error) {
    if (error instanceof FormatError) throw error
    throw new FormatError(`"${name}" is damaged: its tables cannot be read.`)
  }
}

/** A font with no more characters than are asked for, as WOFF2. */
export const cutTo = ({ bytes, characters }: { bytes: Uint8Array; characters: string }): Promise<Uint8Array> =>
  subset(Buffer.from(bytes), characters, { targetFormat: 'woff2' })
