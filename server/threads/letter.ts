import { create, type Font } from 'fontkit'
import { convert } from 'fontverter'

/** Letters as one outline: its path, y downwards, and the box that it fills, in units of the font. */
export type Outline = { path: string; left: number; top: number; width: number; height: number }

/** The outline of a letter, or of two side by side, in a face at a weight; nothing where the face has none of them. */
export async function outlineOf({
  bytes,
  letter,
  weight,
}: {
  bytes: Uint8Array
  letter: string
  weight: number
}): Promise<Outline | undefined> {
  // Only unpacked fonts can be varied.
  const font = create(Buffer.from(await convert(Buffer.from(bytes), 'sfnt')))
  if ('fonts' in font) return undefined
  const axis = (font as Font).variationAxes.wght
  const set = axis ? (font as Font).getVariation({ wght: Math.min(axis.max, Math.max(axis.min, weight)) }) : (font as Font)
  if (![...letter].every((one) => set.hasGlyphForCodePoint(one.codePointAt(0)!))) return undefined
  let at = 0
  const parts: string[] = []
  const box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity }
  for (const glyph of set.glyphsForString(letter)) {
    const path = glyph.path.scale(1, -1).translate(at, 0)
    const { minX, minY, maxX, maxY } = path.bbox
    Object.assign(box, {
      left: Math.min(box.left, minX),
      top: Math.min(box.top, minY),
      right: Math.max(box.right, maxX),
      bottom: Math.max(box.bottom, maxY),
    })
    parts.push(path.toSVG())
    at += glyph.advanceWidth
  }
  const { left, top, right, bottom } = box
  return right > left && bottom > top ? { path: parts.join(''), left, top, width: right - left, height: bottom - top } : undefined
}
