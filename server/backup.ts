import Database from 'better-sqlite3'
import { existsSync } from 'node:fs'
import { copyFile, mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'

/** The folders of files that stand beside the database; pictures that are made of others are not among them. */
const FOLDERS = ['pictures', 'fonts'] as const

/** A backup or restore that cannot be made; the message says why. */
export class BackupError extends Error {
  override name = 'BackupError'
}

/** Checks that a database is whole. @throws BackupError */
export function checkIntegrity(file: string): void {
  let found: unknown
  try {
    const db = new Database(file, { readonly: true, fileMustExist: true })
    found = db.pragma('integrity_check', { simple: true })
    db.close()
  } catch (error) {
    throw new BackupError(`“${file}” cannot be read: ${(error as Error).message}`)
  }
  if (found !== 'ok') throw new BackupError(`“${file}” is damaged: ${String(found)}`)
}

async function copyFolders(from: string, to: string): Promise<number> {
  let copied = 0
  for (const folder of FOLDERS) {
    const source = join(from, folder)
    if (!existsSync(source)) continue
    await mkdir(join(to, folder), { recursive: true })
    for (const name of await readdir(source)) {
      // Files are named by what is in them, so one that is there is the same.
      const target = join(to, folder, name)
      if (name.startsWith('.') || existsSync(target)) continue
      await copyFile(join(source, name), `${target}.part`)
      await rename(`${target}.part`, target)
      copied++
    }
  }
  return copied
}

/**
 * Copies a database and the files beside it into a folder, also while a server is writing (SQLite, Online Backup API).
 * A second backup into the same folder copies only files that are new.
 * @returns how many files were copied beside the database
 * @throws BackupError
 */
export async function backUp(database: string, folder: string): Promise<number> {
  if (!existsSync(database)) throw new BackupError(`There is no database at “${database}”.`)
  await mkdir(folder, { recursive: true })
  const target = join(folder, basename(database))
  const db = new Database(database, { readonly: true })
  try {
    await db.backup(`${target}.part`)
  } finally {
    db.close()
  }
  checkIntegrity(`${target}.part`)
  // Files come after the database: one that it names was there before it, and files are never changed.
  const copied = await copyFolders(dirname(database), folder)
  await rename(`${target}.part`, target)
  return copied
}

const lockOf = (database: string): string => join(dirname(database), 'server.pid')

/** Notes that a server has a database open, for as long as it runs. */
export async function noteServer(database: string): Promise<void> {
  await writeFile(lockOf(database), String(process.pid))
}

/** True while the server that has a database open runs. */
async function isServed(database: string): Promise<boolean> {
  const pid = Number(await readFile(lockOf(database), 'utf8').catch(() => ''))
  if (!(pid > 0) || pid === process.pid) return false
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

/**
 * Puts a backup in the place of a database. What stood there is kept beside it, as `….before-restore`.
 * @returns how many files were copied beside the database
 * @throws BackupError if the backup is damaged, or a server has the database open; nothing is changed then
 */
export async function restore(folder: string, database: string): Promise<number> {
  const source = join(folder, basename(database))
  if (!existsSync(source)) throw new BackupError(`There is no backup in “${folder}”.`)
  checkIntegrity(source)
  if (await isServed(database)) throw new BackupError('A server has this database open. Stop it, and restore then.')
  await mkdir(dirname(database), { recursive: true })
  const copied = await copyFolders(folder, dirname(database))
  await copyFile(source, `${database}.part`)
  if (existsSync(database)) {
    // What is only in the log of the old database is brought into it, so that the one file that is kept has all.
    const old = new Database(database)
    old.pragma('wal_checkpoint(TRUNCATE)')
    old.close()
    await rename(database, `${database}.before-restore`)
  }
  for (const rest of ['-wal', '-shm']) await rm(`${database}${rest}`, { force: true })
  await rename(`${database}.part`, database)
  return copied
}
