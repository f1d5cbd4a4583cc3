import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { HOLDINGS, pictureFile } from '#core/formats/holdings'
import type { Held } from '#core/formats/site-zip'
import { readFont } from '#server/fonts'
import { madeOf } from '#server/pictures'
import type { FontSource, LinkedSource, PictureSource } from '#server/web-export'

/** Where the bytes of what a site names are found. */
export type Sources = { picture: PictureSource; font: FontSource; linked: LinkedSource }

/**
 * The sources of a site that was read from a file: its zip, or the folders beside its JSON.
 * @param file the site's, as a whole path
 */
export function sourcesOf(file: string, { pictures, fonts, files }: Held): Sources {
  const folder = dirname(file)
  const made = new Map<string, Promise<Uint8Array>>()
  const beside = (name: string) => (existsSync(join(folder, name)) ? new Uint8Array(readFileSync(join(folder, name))) : undefined)
  return {
    async picture(picture, width, making) {
      const bytes = pictures.get(picture.hash) ?? beside(`pictures/${pictureFile(picture)}`)
      if (!bytes || width === null) return bytes
      const key = JSON.stringify([picture.hash, width, making])
      if (!made.has(key)) made.set(key, madeOf(bytes, width, making, picture.type))
      return made.get(key)
    },
    font: async (name) => fonts.get(name.split('.')[0]!) ?? (await readFont(name, folder)),
    linked: async (linked) => files.get(linked.hash) ?? beside(`files/${HOLDINGS.files.inFile(linked)}`),
  }
}
