import { unzipSync } from 'fflate'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { openStore, type Store } from '../database'
import { removeFolder } from '../remove-folder'
import { createSite, getSite, MissingError } from '../sites'
import { openFile, takeAs, writeAs } from './index'

let folder: string
let store: Store
let id: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
  id = createSite(store, newSite('Tallow & Twine', testIds()))
})
afterAll(() => {
  store.close()
  removeFolder(folder)
})

const as = (name: string, query = '') => writeAs(store, id, name, new URLSearchParams(query))

test.each([
  ['site-json', 'tallow-twine.site.json', 'application/json'],
  ['site-zip', 'tallow-twine.site.zip', 'application/zip'],
  ['web', 'tallow-twine.zip', 'application/zip'],
  ['tokens', 'tallow-twine.tokens.json', 'application/json'],
  ['css', 'tallow-twine.css', 'text/css; charset=utf-8'],
])('a site is written as %s, under its name and type', async (name, file, type) => {
  const written = await as(name)
  expect(written).toMatchObject({ file, type })
  expect(written.bytes.length).toBeGreaterThan(100)
})

test('what is written as a site file is opened as the same site', async () => {
  for (const name of ['site-json', 'site-zip']) {
    const { bytes } = await as(name)
    const opened = await openFile(store, typeof bytes === 'string' ? new TextEncoder().encode(bytes) : bytes)
    expect(getSite(store, opened).site).toEqual(getSite(store, id).site)
  }
})

test('the export is marked as such when it is taken, and not when it is looked at', async () => {
  await as('web')
  expect(getSite(store, id).exportedRevision).toBeNull()
  await takeAs(store, id, 'web', new URLSearchParams())
  expect(getSite(store, id).exportedRevision).toBe(0)
})

test('the export is readable or minified', async () => {
  const [readable, minified] = [await as('web'), await as('web', 'style=minified')]
  const sheet = ({ bytes }: typeof readable) => unzipSync(bytes as Uint8Array)['style.css']!.length
  expect(sheet(minified)).toBeLessThan(sheet(readable))
})

test('a format that is not there is refused, also by the names of what every object has', async () => {
  for (const name of ['pdf', 'constructor', '__proto__']) await expect(as(name)).rejects.toThrow(MissingError)
})
