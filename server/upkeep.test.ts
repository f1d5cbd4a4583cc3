import { existsSync, mkdirSync, mkdtempSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { openStore, type Store } from './database'
import { removeFolder } from './remove-folder'
import { createSite, saveEdits, setDeleted } from './sites'
import { keepUp } from './upkeep'

const DAY = 24 * 60 * 60 * 1000
let store: Store
beforeEach(() => (store = openStore(join(mkdtempSync(join(tmpdir(), 'yarrowfinch-')), 'test.db'))))
afterEach(() => {
  store.close()
  removeFolder(store.folder)
})

const hash = (letter: string) => letter.repeat(64)
/** Makes a file of so many days. */
function file(folder: string, name: string, days: number): string {
  mkdirSync(join(store.folder, folder), { recursive: true })
  const path = join(store.folder, folder, name)
  writeFileSync(path, 'x')
  const time = new Date(Date.now() - days * DAY)
  utimesSync(path, time, time)
  return path
}
const use = (id: string, letter: string) =>
  saveEdits(store, id, 0, [
    {
      key: 'k',
      edit: {
        kind: 'picture-add',
        picture: { id: 'pic', name: 'a.png', hash: hash(letter), type: 'image/png', width: 4, height: 4 },
      },
    },
  ])

test('what no site has used for 30 days goes, and what one uses stays, whatever its age', async () => {
  const id = createSite(store, newSite('Tallow & Twine', testIds()))
  use(id, 'a')
  const used = [file('pictures', hash('a'), 400), file('derivatives', `${hash('a')}-640.webp`, 400)]
  const unused = [
    file('pictures', hash('b'), 31),
    file('derivatives', `${hash('b')}-640.webp`, 31),
    file('fonts', `${hash('c')}.woff2`, 31),
  ]
  const young = file('pictures', hash('d'), 29)
  expect(await keepUp(store)).toEqual({ drafts: 0, unused: 3 })
  expect([...used, young].every(existsSync)).toBe(true)
  expect(unused.some(existsSync)).toBe(false)
})

test('a picture that has just come out of use is kept 30 days more', async () => {
  const id = createSite(store, newSite('Tallow & Twine', testIds()))
  use(id, 'a')
  const path = file('pictures', hash('a'), 400)
  await keepUp(store)
  saveEdits(store, id, 1, [{ key: 'gone', edit: { kind: 'picture-remove', picture: 'pic' } }])
  expect(await keepUp(store)).toMatchObject({ unused: 0 })
  expect(existsSync(path)).toBe(true)
})

test('what a deleted site uses stays as long as the site can be brought back', async () => {
  const id = createSite(store, newSite('Tallow & Twine', testIds()))
  use(id, 'a')
  const path = file('pictures', hash('a'), 400)
  setDeleted(store, id, true)
  await keepUp(store)
  expect(existsSync(path)).toBe(true)
})

test('what was left half written goes, and what is being written stays', async () => {
  const old = file('pictures', `.${hash('a')}.1.x`, 1)
  const now = file('pictures', `.${hash('b')}.1.x`, 0)
  expect(await keepUp(store)).toEqual({ drafts: 1, unused: 0 })
  expect([existsSync(old), existsSync(now)]).toEqual([false, true])
})
