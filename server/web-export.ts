import { strToU8 } from 'fflate'
import { type WebFiles, webFiles } from '#core/formats/web-files'
import type { Layout } from '#core/render/rules'
import type { Picture } from '#core/picture/picture'
import type { Site } from '#core/site/schema'
import { cutFont } from './fonts'

export type ExportedFile = { file: string; bytes: Uint8Array }

/** Gives a picture at a width, or as it is for `null`. */
export type PictureSource = (picture: Picture, width: number | null) => Promise<Uint8Array | undefined>

/** Gives the bytes of a font file by its name. */
export type FontSource = (name: string) => Promise<Uint8Array | undefined>

/** The fonts of an export, cut to the characters that its pages show; without bytes where one is not to be had. */
export async function cutFonts(
  wanted: WebFiles,
  source: FontSource,
): Promise<{ name: string; file: string; bytes: Uint8Array | undefined }[]> {
  const characters = wanted.characters()
  const made = []
  for (const { file, font } of wanted.fonts) {
    const bytes = await source(font.name)
    made.push({ name: font.family.name, file, bytes: bytes && (await cutFont(font.name, bytes, characters)) })
  }
  return made
}

/**
 * Makes every file of a site's export; fonts are cut to the characters that the pages show. A picture or
 * font that is not to be had is named in `missing`, and left out.
 */
export async function exportFiles(
  site: Site,
  style: Layout,
  source: PictureSource,
  fontSource: FontSource,
): Promise<{ files: ExportedFile[]; missing: string[] }> {
  const wanted = webFiles(site, style)
  const files: ExportedFile[] = wanted.texts.map(({ file, text }) => ({ file, bytes: strToU8(text) }))
  const missing: string[] = []
  const made = await Promise.all(wanted.pictures.map(async (one) => ({ ...one, bytes: await source(one.picture, one.width) })))
  for (const { file, picture, bytes } of made) {
    if (bytes) files.push({ file, bytes })
    else if (!missing.includes(picture.name)) missing.push(picture.name)
  }
  for (const { name, file, bytes } of await cutFonts(wanted, fontSource)) {
    if (bytes) files.push({ file, bytes })
    else missing.push(name)
  }
  return { files, missing }
}
