import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { openStore, type Store } from './database'
import { knownSites } from './known'
import { listSites } from './listing'
import { readAhead } from './read-ahead'
import { removeFolder } from './remove-folder'
import { sites } from './schema'
import { createSite, forgetKnown, getSite, saveEdits, setDeleted, UnreadableError } from './sites'

let folder: string
let store: Store
let id: string
const rename = (base: number, value: string) =>
  saveEdits(store, id, base, [{ key: `k${base}`, edit: { kind: 'site', field: 'name', value } }])

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
  id = createSite(store, newSite('Tallow & Twine', testIds()))
})
afterEach(() => {
  store.close()
  removeFolder(folder)
})

describe('a site that is read ahead', () => {
  test('is what reading it here gives, with the edits since its document was written', async () => {
    rename(0, 'First')
    const here = getSite(store, id)
    forgetKnown(store, id)
    await readAhead(store, id)
    expect(knownSites(store).get(id)).toMatchObject({ revision: 1, site: here.site })
    expect(Object.isFrozen(getSite(store, id).site.pages[0]!.sections)).toBe(true)
    expect(rename(1, 'Second')).toMatchObject({ status: 'saved', revision: 2 })
  })

  test('is not put in the place of what is edited meanwhile', async () => {
    const reading = readAhead(store, id)
    rename(0, 'First')
    await reading
    expect(getSite(store, id)).toMatchObject({ revision: 1, site: { name: 'First' } })
  })

  test('is read once for all who ask at a time', async () => {
    const all = [readAhead(store, id), readAhead(store, id)]
    await Promise.all(all)
    const known = knownSites(store).get(id)
    await readAhead(store, id)
    expect(knownSites(store).get(id)).toBe(known)
  })

  test('says nothing when it cannot be read or is not there: whoever asks for it is told', async () => {
    store.db.update(sites).set({ document: '{"format":' }).where(eq(sites.id, id)).run()
    await readAhead(store, id)
    await readAhead(store, 'nothing')
    expect(() => getSite(store, id)).toThrow(UnreadableError)
  })

  test('whose store is closed meanwhile is left', async () => {
    const reading = readAhead(store, id)
    store.close()
    await expect(reading).resolves.toBeUndefined()
    store = openStore(join(folder, 'test.db'))
  })
})

describe('the list of sites', () => {
  test('has the newest first, counts what each has, and follows edits', async () => {
    const other = createSite(store, newSite('The other', testIds(2)))
    store.db
      .update(sites)
      .set({ updatedAt: new Date(0) })
      .where(eq(sites.id, other))
      .run()
    const [first, second] = (await listSites(store)).sites
    expect([first!.name, second!.name]).toEqual(['Tallow & Twine', 'The other'])
    expect(first).toMatchObject({ id, revision: 0, pages: 1, exportedRevision: null })
    rename(0, 'First')
    expect((await listSites(store)).sites[0]).toMatchObject({ name: 'First', revision: 1 })
    setDeleted(store, id, true)
    expect((await listSites(store)).sites.map((one) => one.id)).toEqual([other])
  })

  test('does not read what was counted before, though the sites themselves are no longer held', async () => {
    await listSites(store)
    knownSites(store).clear()
    await listSites(store)
    expect(knownSites(store).size).toBe(0)
  })
})

describe('what is held of sites', () => {
  test('has an end: what was used longest ago is read again', () => {
    const { site } = getSite(store, id)
    const { length } = knownSites(store).get(id)!
    expect(length).toBe(JSON.stringify(site).length)
    const most = knownSites(store).maxSize
    for (let n = 0; n <= most / length; n++) knownSites(store).set(`other-${n}`, { revision: 0, site, length })
    expect(knownSites(store).has(id)).toBe(false)
    expect(knownSites(store).calculatedSize).toBeLessThanOrEqual(most)
    expect(getSite(store, id).site).toEqual(site)
  })
})
