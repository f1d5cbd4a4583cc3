import type { Held } from '#core/formats/site-zip'
import { readFont } from '#server/fonts'
import { madeOf } from '#server/pictures'
import type { FontSource, LinkedSource, PictureSource } from '#server/web-export'

/** Where the bytes of what a site names are found. */
export type Sources = { picture: PictureSource; font: FontSource; linked: LinkedSource }

/** The sources of a site that was read from a file. */
export function sourcesOf({ pictures, fonts, files }: Held): Sources {
  const made = new Map<string, Promise<Uint8Array>>()
  return {
    async picture(picture, width, making) {
      const bytes = pictures.get(picture.hash)
      if (!bytes || width === null) return bytes
      const key = JSON.stringify([picture.hash, width, making])
      if (!made.has(key)) made.set(key, madeOf(bytes, width, making, picture.type))
      return made.get(key)
    },
    font: async (name) => fonts.get(name.split('.')[0]!) ?? (await readFont(name)),
    linked: (linked) => Promise.resolve(files.get(linked.hash)),
  }
}
