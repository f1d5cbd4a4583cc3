import { eq } from 'drizzle-orm'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { openStore, type Store } from './database'
import { removeFolder } from './remove-folder'
import { edits, sites } from './schema'
import { listSites } from './listing'
import { createSite, getSite, saveEdits, UnreadableError } from './sites'
import { lastGood, rawSite, returnToGood } from './unreadable'

let folder: string
let store: Store
let id: string
const rename = (base: number, value: string) =>
  saveEdits(store, id, base, [{ key: `k${base}`, edit: { kind: 'site', field: 'name', value } }])

/** Opens the store anew, as a server that starts does. */
function restart(): void {
  store.close()
  store = openStore(join(folder, 'test.db'))
}

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
  id = createSite(store, newSite('Tallow & Twine', testIds()))
})
afterEach(() => {
  store.close()
  removeFolder(folder)
})

describe('a site that cannot be read', () => {
  test('is named as such, keeps no other from being shown, and comes back to the edit before the bad one', async () => {
    createSite(store, newSite('The other', testIds(2)))
    rename(0, 'First')
    rename(1, 'Second')
    // What an older version took, and this one does not.
    const bad = JSON.stringify({ kind: 'site', field: 'name', value: '' })
    store.db.insert(edits).values({ site: id, revision: 3, key: 'bad', edit: bad, createdAt: new Date() }).run()
    store.db.update(sites).set({ revision: 3 }).where(eq(sites.id, id)).run()
    restart()
    const listed = await listSites(store)
    expect(listed.sites.map((one) => one.name)).toEqual(['The other'])
    expect(listed.unreadable).toMatchObject([{ id, revision: 3 }])
    expect(lastGood(store, id)).toMatchObject({ revision: 2, site: { name: 'Second' } })
    expect(() => getSite(store, id)).toThrow(UnreadableError)
    expect(JSON.parse(rawSite(store, id))).toMatchObject({ site: { id }, edits: [{}, {}, { key: 'bad' }] })

    returnToGood(store, id)
    expect(getSite(store, id)).toMatchObject({ revision: 2, site: { name: 'Second' } })
    expect(rename(2, 'Third')).toMatchObject({ status: 'saved', revision: 3 })
    restart()
    expect(getSite(store, id).site.name).toBe('Third')
  })

  test('comes back to the document that was last found valid, when the newest is damaged on the disk', async () => {
    rename(0, 'First')
    restart()
    expect(getSite(store, id).site.name).toBe('First')
    store.db.update(sites).set({ document: '{"format":', documentRevision: 1 }).where(eq(sites.id, id)).run()
    restart()
    expect((await listSites(store)).unreadable).toMatchObject([{ id }])
    expect(lastGood(store, id)).toMatchObject({ revision: 1, site: { name: 'First' } })
    returnToGood(store, id)
    expect(getSite(store, id).site.name).toBe('First')
  })

  test('without any valid document says so, and nothing is lost', async () => {
    store.db.update(sites).set({ document: 'x', goodDocument: null }).where(eq(sites.id, id)).run()
    restart()
    expect((await listSites(store)).unreadable).toMatchObject([{ id }])
    expect(lastGood(store, id)).toBeNull()
    expect(() => returnToGood(store, id)).toThrow(/No revision of this site can be read/)
    expect(rawSite(store, id)).toContain('"document": "x"')
  })
})
