import Database from 'better-sqlite3'
import { createHash } from 'node:crypto'
import { createReadStream, existsSync, realpathSync } from 'node:fs'
import { copyFile, open, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises'
import { basename, dirname, join, relative, resolve, sep } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { HOLDING_KINDS } from '#core/formats/holdings'
import { makeFolder, syncFolder } from './files'

/** A backup or restore that cannot be made; the message says why. */
export class BackupError extends Error {
  override name = 'BackupError'
}

/** Checks that a database is whole. @param name what it is called where it is not. @throws BackupError */
export function checkIntegrity(file: string, name = file): void {
  let found: unknown
  try {
    const db = new Database(file, { readonly: true, fileMustExist: true })
    found = db.pragma('integrity_check', { simple: true })
    db.close()
  } catch (error) {
    throw new BackupError(`“${name}” cannot be read: ${(error as Error).message}`)
  }
  if (found !== 'ok') throw new BackupError(`“${name}” is damaged: ${String(found)}`)
}

/** The files of a folder of data that stand beside the database, as `pictures/…`; what is made of others is not among them. */
async function filesBeside(folder: string): Promise<string[]> {
  const found: string[] = []
  for (const kind of HOLDING_KINDS) {
    if (!existsSync(join(folder, kind))) continue
    for (const name of await readdir(join(folder, kind))) if (!name.startsWith('.')) found.push(join(kind, name))
  }
  return found
}

/** Checks that files have the hash that they are named by. @throws BackupError */
async function checkHashes(folder: string, files: readonly string[]): Promise<void> {
  for (const file of files) {
    const hash = createHash('sha256')
    await pipeline(createReadStream(join(folder, file)), hash)
    if (hash.digest('hex') !== basename(file).slice(0, 64))
      throw new BackupError(`“${join(folder, file)}” is damaged: it has not the hash that it is named by.`)
  }
}

/** Waits until a file is on the disk. */
async function syncFile(file: string): Promise<void> {
  const handle = await open(file, 'r+')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** Copies files that are not there yet from one folder to another. @returns how many those were */
async function copyNew(from: string, to: string, files: readonly string[]): Promise<number> {
  const into = new Set<string>()
  let copied = 0
  for (const file of files) {
    // Files are named by what is in them, so one that is there is the same.
    const target = join(to, file)
    if (existsSync(target)) continue
    if (!into.has(dirname(target))) await makeFolder(dirname(target))
    into.add(dirname(target))
    await copyFile(join(from, file), `${target}.part`)
    await syncFile(`${target}.part`)
    await rename(`${target}.part`, target)
    copied++
  }
  for (const folder of into) await syncFolder(folder)
  return copied
}

/** A path with all its links followed, as far as it is there. */
function realPath(path: string): string {
  for (let known = resolve(path), rest = ''; ; rest = join(basename(known), rest), known = dirname(known))
    if (existsSync(known)) return join(realpathSync(known), rest)
}

const isIn = (inner: string, outer: string): boolean => {
  const way = relative(outer, inner)
  return way === '' || (way !== '..' && !way.startsWith(`..${sep}`))
}

/** A copy in the folder of data, or one that holds it, would be written over what it is a copy of. @throws BackupError */
function checkApart(folder: string, database: string): void {
  const [copy, data] = [realPath(folder), realPath(dirname(database))]
  if (isIn(copy, data) || isIn(data, copy))
    throw new BackupError(
      `“${folder}” is the folder of the data, or lies in it or around it. Choose one beside it, or on another disk.`,
    )
}

/**
 * Copies a database and the files beside it into a folder, also while a server is writing (SQLite, Online Backup API).
 * A second backup into the same folder copies only files that are new. It is on the disk when it is done.
 * @returns how many files were copied beside the database
 * @throws BackupError if the folder is that of the data, or in it or around it, or the copy is not whole
 */
export async function backUp(database: string, folder: string): Promise<number> {
  if (!existsSync(database)) throw new BackupError(`There is no database at “${database}”.`)
  checkApart(folder, database)
  await makeFolder(folder)
  const target = join(folder, basename(database))
  const db = new Database(database, { readonly: true })
  try {
    await db.backup(`${target}.part`)
  } finally {
    db.close()
  }
  // A database with a log beside it could not be read from a disk that may not be written to.
  const copy = new Database(`${target}.part`)
  copy.pragma('journal_mode = DELETE')
  copy.close()
  checkIntegrity(`${target}.part`)
  await syncFile(`${target}.part`)
  // Files come after the database: one that it names was there before it, and files are never changed.
  const data = dirname(database)
  const copied = await copyNew(data, folder, await filesBeside(data))
  await rename(`${target}.part`, target)
  await syncFolder(folder)
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

/** A name that nothing has yet, for what a restore takes the place of: `….before-restore`, `….before-restore-2` and so on. */
function nameBefore(database: string): string {
  for (let n = 1; ; n++) {
    const name = `${database}.before-restore${n === 1 ? '' : `-${n}`}`
    if (!existsSync(name)) return name
  }
}

/**
 * Puts a backup in the place of a database. What stood there is kept beside it, as `….before-restore`, also where a
 * restore before it kept one.
 * @returns how many files were copied beside the database
 * @throws BackupError if the backup is damaged, or a server has the database open; nothing is changed then
 */
export async function restore(folder: string, database: string): Promise<number> {
  const source = join(folder, basename(database))
  if (!existsSync(source)) throw new BackupError(`There is no backup in “${folder}”.`)
  checkApart(folder, database)
  if (await isServed(database)) throw new BackupError('A server has this database open. Stop it, and restore then.')
  const files = await filesBeside(folder)
  await checkHashes(folder, files)
  const data = dirname(database)
  await makeFolder(data)
  const draft = `${database}.part`
  await copyFile(source, draft)
  try {
    // The copy is looked at: nothing is written to the backup, not even what reading a database may leave beside it.
    checkIntegrity(draft, source)
  } catch (error) {
    await rm(draft, { force: true })
    throw error
  } finally {
    for (const rest of ['-wal', '-shm']) await rm(`${draft}${rest}`, { force: true })
  }
  await syncFile(draft)
  const copied = await copyNew(folder, data, files)
  if (existsSync(database)) {
    // What is only in the log of the old database is brought into it, so that the one file that is kept has all.
    const old = new Database(database)
    old.pragma('wal_checkpoint(TRUNCATE)')
    old.close()
    await rename(database, nameBefore(database))
  }
  for (const rest of ['-wal', '-shm']) await rm(`${database}${rest}`, { force: true })
  await rename(draft, database)
  await syncFolder(data)
  return copied
}
