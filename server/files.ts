import { mkdir, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'

/** Writes under another name first, so that no half-written file ever has a final name. */
export async function writeWhole(folder: string, name: string, bytes: Uint8Array): Promise<void> {
  await mkdir(folder, { recursive: true })
  const draft = join(folder, `.${name}.${process.pid}.${Math.random().toString(36).slice(2)}`)
  await writeFile(draft, bytes)
  await rename(draft, join(folder, name))
}
