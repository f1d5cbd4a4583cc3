import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import { FAMILIES, fontFiles } from '#core/type/families'

const folders = new Map(FAMILIES.flatMap((family) => fontFiles(family).map((file) => [file.name, family.id])))

/** The bytes of a font file that ships with the application; `undefined` for any other name. */
export async function readFont(name: string): Promise<Uint8Array<ArrayBuffer> | undefined> {
  const family = folders.get(name)
  if (!family) return undefined
  const file = join(resolve('node_modules', '@fontsource-variable'), family, 'files', name)
  return existsSync(file) ? new Uint8Array(await readFile(file)) : undefined
}
