import sharp from 'sharp'
import type { Point } from '#core/picture/picture'
import { ICON_FILES, ICON_SVG, type IconDrawn, isDrawing } from '#core/render/site-icons'
import { familyOf, fontFiles } from '#core/type/families'
import type { Site } from '#core/site/schema'
import { inThread } from './threads/pool'
import type { ExportedFile, FontSource, PictureSource } from './web-export'

/** Side of the drawing, and the part of it that the letter fills, in its own units. */
const FIELD = 64
const FILLED = 38
const round = (value: number) => Number(value.toFixed(3))

/** The letter of an icon as a drawing, whose colours change places where a browser is dark, so that it does not fade into its bars. */
async function letterSvg(icon: Extract<IconDrawn, { letter: string }>, site: Site, fontSource: FontSource): Promise<string> {
  const family = familyOf(icon.family, site.fonts)
  const file = family && fontFiles(family).find((one) => !one.italic && (one.subset === 'latin' || family.own !== undefined))
  const bytes = file && (await fontSource(file.name))
  const outline = bytes && (await inThread(site, 'letter', { bytes, letter: icon.letter, weight: icon.weight }))
  const style = `<style>.g{fill:${icon.ground}}.i{fill:${icon.ink}}@media(prefers-color-scheme:dark){.g{fill:${icon.ink}}.i{fill:${icon.ground}}}</style>`
  const open = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${FIELD} ${FIELD}">${style}<rect class="g" width="${FIELD}" height="${FIELD}" rx="12"/>`
  if (!outline) return `${open}</svg>`
  const scale = FILLED / Math.max(outline.width, outline.height)
  const [x, y] = [
    (FIELD - outline.width * scale) / 2 - outline.left * scale,
    (FIELD - outline.height * scale) / 2 - outline.top * scale,
  ]
  return `${open}<path class="i" transform="translate(${round(x)} ${round(y)}) scale(${Number(scale.toPrecision(6))})" d="${outline.path}"/></svg>`
}

/** A PNG as an ICO file, which holds PNGs as they are. */
function icoOf(png: Uint8Array, side: number): Uint8Array {
  const head = Buffer.alloc(22)
  head.writeUInt16LE(1, 2)
  head.writeUInt16LE(1, 4)
  head.writeUInt8(side, 6)
  head.writeUInt8(side, 7)
  head.writeUInt16LE(1, 10)
  head.writeUInt16LE(32, 12)
  head.writeUInt32LE(png.length, 14)
  head.writeUInt32LE(head.length, 18)
  return new Uint8Array(Buffer.concat([head, png]))
}

const known = new WeakMap<Site, Promise<ExportedFile[]>>()

/** The files of a site's icon, at every side that browsers ask for; none where its picture is not to be had. */
export function iconFiles(site: Site, icon: IconDrawn, pictures: PictureSource, fonts: FontSource): Promise<ExportedFile[]> {
  let made = known.get(site)
  if (!made) {
    known.set(site, (made = makeIcons(site, icon, pictures, fonts)))
    made.catch(() => known.delete(site))
  }
  return made
}

async function makeIcons(site: Site, icon: IconDrawn, pictures: PictureSource, fonts: FontSource): Promise<ExportedFile[]> {
  const source = 'picture' in icon ? await pictures(icon.picture, null) : Buffer.from(await letterSvg(icon, site, fonts))
  if (!source) return []
  const pixels = await Promise.all(
    ICON_FILES.map(async ({ file, side }) => {
      // A drawing is drawn about as large as it is wanted, whatever size it says it has.
      const least = 'picture' in icon ? Math.min(icon.picture.width, icon.picture.height) : FIELD
      const image = sharp(source, isDrawing(icon) ? { density: Math.max(1, (72 * side) / least) } : {}).autoOrient()
      const cut = isDrawing(icon) || !('picture' in icon) ? image : image.extract(await squareIn(source, icon.picture.focal))
      const png = new Uint8Array(await cut.resize(side, side, { fit: 'cover' }).png().toBuffer())
      return { file, bytes: file.endsWith('.ico') ? icoOf(png, side) : png }
    }),
  )
  return [...(isDrawing(icon) ? [{ file: ICON_SVG, bytes: new Uint8Array(source) }] : []), ...pixels]
}

/** The greatest square of a picture's file that has its focal point as near to the middle as can be, px. */
async function squareIn(source: Uint8Array, focal: Point | undefined) {
  const { autoOrient } = await sharp(source).metadata()
  const side = Math.min(autoOrient.width, autoOrient.height)
  const start = (length: number, percent = 50) =>
    Math.round(Math.min(length - side, Math.max(0, (length * percent) / 100 - side / 2)))
  return { left: start(autoOrient.width, focal?.x), top: start(autoOrient.height, focal?.y), width: side, height: side }
}
