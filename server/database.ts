import Database from 'better-sqlite3'
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { existsSync, mkdirSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { checkIntegrity, noteServer } from './backup'
import * as schema from './schema'
import { startUpkeep } from './upkeep'

/** What the server keeps: the database, and the folder of pictures beside it. */
export type Store = { db: BetterSQLite3Database<typeof schema>; folder: string; isOpen: () => boolean; close: () => void }

/** The database file: `data/yarrowfinch.db`, or what `YARROWFINCH_DATA` names, a `.db` file or a folder. */
export function databaseFile(setting = process.env.YARROWFINCH_DATA): string {
  if (!setting) return resolve('data', 'yarrowfinch.db')
  return setting.endsWith('.db') ? resolve(setting) : join(resolve(setting), 'yarrowfinch.db')
}

/** Opens a store and brings its tables up to date. An acknowledged write is on the disk: `synchronous=FULL`. */
export function openStore(file = databaseFile()): Store {
  const folder = dirname(file)
  mkdirSync(folder, { recursive: true })
  const connection = new Database(file)
  connection.pragma('journal_mode = WAL')
  connection.pragma('synchronous = FULL')
  connection.pragma('foreign_keys = ON')
  // Waiting stops all other requests as well, so it is short; whoever asked asks again.
  connection.pragma('busy_timeout = 200')
  const db = drizzle(connection, { schema })
  migrate(db, { migrationsFolder: resolve('server', 'migrations') })
  return { db, folder, isOpen: () => connection.open, close: () => connection.close() }
}

// In development modules are loaded anew on every change; the connection is kept on the process.
const holder = globalThis as { yarrowfinchStore?: Store }

/** The store of this process, opened at its first use. */
export function store(): Store {
  if (!holder.yarrowfinchStore) {
    const file = databaseFile()
    // Nothing is begun on a database that is not whole: what is written into it could make it worse.
    if (existsSync(file)) checkIntegrity(file)
    holder.yarrowfinchStore = openStore(file)
    noteServer(file).catch(() => undefined)
    startUpkeep(holder.yarrowfinchStore)
  }
  return holder.yarrowfinchStore
}
