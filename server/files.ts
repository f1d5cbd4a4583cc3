import { mkdir, open, rename, rm } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'

/** Waits until what a folder says of its files is on the disk: a new name, or one that was changed, is not before. */
export async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, 'r')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** Makes a folder and those that hold it, and waits until they are on the disk. */
export async function makeFolder(folder: string): Promise<void> {
  const first = await mkdir(folder, { recursive: true })
  if (first === undefined) return
  for (let made = resolve(folder); ; made = dirname(made)) {
    await syncFolder(dirname(made))
    if (made === resolve(first)) return
  }
}

/**
 * Writes under another name first, so that no half-written file ever has a final name. Once it is done the file is on
 * the disk, also if the power goes.
 */
export async function writeWhole(folder: string, name: string, bytes: Uint8Array): Promise<void> {
  await makeFolder(folder)
  const draft = join(folder, `.${name}.${process.pid}.${Math.random().toString(36).slice(2)}`)
  try {
    const handle = await open(draft, 'w')
    try {
      await handle.writeFile(bytes)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(draft, join(folder, name))
  } catch (error) {
    await rm(draft, { force: true })
    throw error
  }
  await syncFolder(folder)
}
