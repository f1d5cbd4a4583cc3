import Database from 'better-sqlite3'
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { mkdirSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import * as schema from './schema'

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
  connection.pragma('busy_timeout = 5000')
  const db = drizzle(connection, { schema })
  migrate(db, { migrationsFolder: resolve('server', 'migrations') })
  return { db, folder, isOpen: () => connection.open, close: () => connection.close() }
}

// In development modules are loaded anew on every change; the connection is kept on the process.
const holder = globalThis as { yarrowfinchStore?: Store }

/** The store of this process, opened at its first use. */
export function store(): Store {
  holder.yarrowfinchStore ??= openStore()
  return holder.yarrowfinchStore
}
