import { strToU8 } from 'fflate'
import type { Layout } from '#core/render/rules'
import type { Engine } from '#core/render/site'
import type { WebChoices } from '#core/picture/measured'
import type { Making, Picture } from '#core/picture/picture'
import type { LinkedFile } from '#core/site/linked-file'
import type { Site } from '#core/site/schema'
import { cutFont } from './fonts'
import { iconFiles } from './site-icons'
import type { Printed } from './threads/jobs'
import { inThread } from './threads/pool'

export type ExportedFile = { file: string; bytes: Uint8Array }

/** Gives a picture at a width, or as it is for `null`. */
export type PictureSource = (picture: Picture, width: number | null, making?: Making) => Promise<Uint8Array | undefined>

/** Gives the bytes of a font file by its name. */
export type FontSource = (name: string) => Promise<Uint8Array | undefined>

/** Gives the bytes of a file that links lead to. */
export type LinkedSource = (file: LinkedFile) => Promise<Uint8Array | undefined>

/** How forms are printed: as the export sends them, or as a played page does. */
type Forms = 'exported' | 'played'

const known = new WeakMap<Site, Map<string, Promise<Printed>>>()

/** The files of a site's export, printed in another thread, once for each document. */
export function printed(
  site: Site,
  style: Layout,
  forms: Forms = 'exported',
  choices: WebChoices = {},
  engine?: Engine,
): Promise<Printed> {
  let made = known.get(site)
  if (!made) known.set(site, (made = new Map()))
  const key = `${style} ${forms} ${JSON.stringify(choices)} ${engine ?? ''}`
  let files = made.get(key)
  if (!files) {
    made.set(
      key,
      (files = inThread(site, 'print', { document: JSON.stringify(site), style, forms, choices, engine }, { ms: 60_000 })),
    )
    files.catch(() => made.delete(key))
  }
  return files
}

/** The fonts of an export, cut to the characters that its pages show; without bytes where one is not to be had. */
export async function cutFonts(
  wanted: Printed,
  source: FontSource,
): Promise<{ name: string; file: string; bytes: Uint8Array | undefined }[]> {
  const made = []
  for (const { file, font } of wanted.fonts) {
    const bytes = await source(font.name)
    made.push({
      name: font.family.name,
      file,
      bytes: bytes && (await cutFont(wanted, font.name, bytes, wanted.characters)),
    })
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
  choices?: WebChoices,
  linkedSource?: LinkedSource,
): Promise<{ files: ExportedFile[]; missing: string[] }> {
  const wanted = await printed(site, style, 'exported', choices)
  const files: ExportedFile[] = wanted.texts.map(({ file, text }) => ({ file, bytes: strToU8(text) }))
  const missing: string[] = []
  const made = await Promise.all(
    wanted.pictures.map(async (one) => ({ ...one, bytes: await source(one.picture, one.width, one.making) })),
  )
  for (const { file, picture, bytes } of made) {
    if (bytes) files.push({ file, bytes })
    else if (!missing.includes(picture.name)) missing.push(picture.name)
  }
  for (const { name, file, bytes } of await cutFonts(wanted, fontSource)) {
    if (bytes) files.push({ file, bytes })
    else missing.push(name)
  }
  for (const { file, linked } of wanted.linked) {
    const bytes = await linkedSource?.(linked)
    if (bytes) files.push({ file, bytes })
    else missing.push(linked.name)
  }
  if (wanted.icon) files.push(...(await iconFiles(site, wanted.icon, source, fontSource)))
  return { files, missing }
}
