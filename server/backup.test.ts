import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createHash } from 'node:crypto'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { backUp, BackupError, restore } from './backup'
import { openStore, type Store } from './database'
import { removeFolder } from './remove-folder'
import { createSite, getSite, saveEdits } from './sites'

const hashOf = (text: string) => createHash('sha256').update(text).digest('hex')
const PICTURE = hashOf('picture')

let folder: string
let store: Store
let id: string
const file = () => join(folder, 'data', 'test.db')
const copy = () => join(folder, 'copy')
const rename = (base: number, value: string) =>
  saveEdits(store, id, base, [{ key: `k${base}`, edit: { kind: 'site', field: 'name', value } }])
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(file())
  id = createSite(store, newSite('Tallow & Twine', testIds()))
  mkdirSync(join(folder, 'data', 'pictures'))
  writeFileSync(join(folder, 'data', 'pictures', PICTURE), 'picture')
})
afterEach(() => {
  store.close()
  removeFolder(folder)
})

test('a backup of a database that is written to is whole, and brings its state back with its pictures', async () => {
  let revision = 0
  const timer = setInterval(() => rename(revision++, `Name ${revision}`), 1)
  // It is being written to once there have been some edits.
  await vi.waitFor(() => expect(revision).toBeGreaterThan(5), { timeout: 60_000, interval: 1 })
  const atLeast = revision
  expect(await backUp(file(), copy())).toBe(1)
  clearInterval(timer)
  const atMost = revision
  expect(await backUp(file(), join(folder, 'second'))).toBe(1)
  rename(revision, 'After the backup')
  store.close()
  removeFolder(join(folder, 'data', 'pictures'))

  expect(await restore(copy(), file())).toBe(1)
  store = openStore(file())
  const { revision: restored, site } = getSite(store, id)
  expect(restored).toBeGreaterThanOrEqual(atLeast)
  expect(restored).toBeLessThanOrEqual(atMost)
  expect(site.name).toBe(`Name ${restored}`)
  expect(readFileSync(join(folder, 'data', 'pictures', PICTURE), 'utf8')).toBe('picture')
  expect(existsSync(`${file()}.before-restore`)).toBe(true)
})

test('a second backup into one folder copies what is new', async () => {
  await backUp(file(), copy())
  writeFileSync(join(folder, 'data', 'pictures', hashOf('another')), 'another')
  expect(await backUp(file(), copy())).toBe(1)
})

test('what is no backup, or is damaged, is not put in the place of anything', async () => {
  await expect(restore(join(folder, 'nowhere'), file())).rejects.toThrow(BackupError)
  mkdirSync(copy())
  writeFileSync(join(copy(), 'test.db'), 'not a database, but long enough to be taken for one'.repeat(40))
  await expect(restore(copy(), file())).rejects.toThrow(/cannot be read|damaged/)
  expect(getSite(store, id).site.name).toBe('Tallow & Twine')
})

test('nothing is restored under a server that runs', async () => {
  await backUp(file(), copy())
  const server = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)'])
  writeFileSync(join(folder, 'data', 'server.pid'), String(server.pid))
  await expect(restore(copy(), file())).rejects.toThrow(/A server has this database open/)
  server.kill('SIGKILL')
  await new Promise((resolve) => server.on('exit', resolve))
  store.close()
  await restore(copy(), file())
})

test('a backup into the folder of the data, into one in it or around it, or by a link to it, is refused and changes nothing', async () => {
  symlinkSync(join(folder, 'data'), join(folder, 'link'))
  const before = readFileSync(file())
  for (const into of [
    join(folder, 'data'),
    join(folder, 'data', 'copy', 'of-today'),
    folder,
    join(folder, 'link'),
    join(folder, 'link', 'copy'),
  ]) {
    await expect(backUp(file(), into), into).rejects.toThrow(/is the folder of the data, or lies in it or around it/)
    await expect(restore(into, file()), into).rejects.toThrow(BackupError)
  }
  expect(readFileSync(file()).equals(before)).toBe(true)
  expect(readdirSync(join(folder, 'data')).sort()).toEqual(['pictures', 'test.db', 'test.db-shm', 'test.db-wal'])
  // One whose name begins alike is beside it.
  await backUp(file(), join(folder, 'data-copy'))
})

test('each restore keeps what it takes the place of', async () => {
  await backUp(file(), copy())
  for (const n of [1, 2, 3]) {
    rename(0, `Before restore ${n}`)
    store.close()
    await restore(copy(), file())
    store = openStore(file())
  }
  const kept = ['', '-2', '-3'].map((end) => {
    const old = openStore(`${file()}.before-restore${end}`)
    const { name } = getSite(old, id).site
    old.close()
    return name
  })
  expect(kept).toEqual(['Before restore 1', 'Before restore 2', 'Before restore 3'])
})

test('a backup of which a file is damaged is not restored', async () => {
  await backUp(file(), copy())
  writeFileSync(join(copy(), 'pictures', PICTURE), 'pictura')
  rename(0, 'Now')
  store.close()
  await expect(restore(copy(), file())).rejects.toThrow(/is damaged: it has not the hash/)
  store = openStore(file())
  expect(getSite(store, id).site.name).toBe('Now')
})
