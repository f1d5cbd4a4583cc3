import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { pictureFile } from '#core/formats/site-zip'
import type { Picture } from '#core/picture/picture'

/** The original of a picture: out of a site's zip, or beside its JSON file. @param file the site's, as a whole path */
export function originals(file: string, inside: ReadonlyMap<string, Uint8Array>) {
  const beside = join(dirname(file), 'pictures')
  return (picture: Picture): Uint8Array | undefined => {
    const path = join(beside, pictureFile(picture))
    return inside.get(picture.hash) ?? (existsSync(path) ? new Uint8Array(readFileSync(path)) : undefined)
  }
}
