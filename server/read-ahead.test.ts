import { describe, expect, test } from 'vitest'
import { eq } from 'drizzle-orm'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { knownSites } from './known'
import { listSites } from './listing'
import { readAhead } from './read-ahead'
import { sites } from './schema'
import { createSite, forgetKnown, getSite, setDeleted, UnreadableError } from './sites'
import { testStore } from './store.fixture'

const it = testStore()

describe('a site that is read ahead', () => {
  test('is what reading it here gives, with the edits since its document was written', async () => {
    it.rename(0, 'First')
    const here = getSite(it.store, it.id)
    forgetKnown(it.store, it.id)
    await readAhead(it.store, it.id)
    expect(knownSites(it.store).get(it.id)).toMatchObject({ revision: 1, site: here.site })
    expect(Object.isFrozen(getSite(it.store, it.id).site.pages[0]!.sections)).toBe(true)
    expect(it.rename(1, 'Second')).toMatchObject({ status: 'saved', revision: 2 })
  })

  test('is not put in the place of what is edited meanwhile', async () => {
    const reading = readAhead(it.store, it.id)
    it.rename(0, 'First')
    await reading
    expect(getSite(it.store, it.id)).toMatchObject({ revision: 1, site: { name: 'First' } })
  })

  test('is read once for all who ask at a time', async () => {
    const all = [readAhead(it.store, it.id), readAhead(it.store, it.id)]
    await Promise.all(all)
    const known = knownSites(it.store).get(it.id)
    await readAhead(it.store, it.id)
    expect(knownSites(it.store).get(it.id)).toBe(known)
  })

  test('says nothing when it cannot be read or is not there: whoever asks for it is told', async () => {
    it.store.db.update(sites).set({ document: '{"format":' }).where(eq(sites.id, it.id)).run()
    await readAhead(it.store, it.id)
    await readAhead(it.store, 'nothing')
    expect(() => getSite(it.store, it.id)).toThrow(UnreadableError)
  })

  test('whose store is closed meanwhile is left', async () => {
    const reading = readAhead(it.store, it.id)
    it.restart()
    await expect(reading).resolves.toBeUndefined()
  })
})

describe('the list of sites', () => {
  test('has the newest first, counts what each has, and follows edits', async () => {
    const other = createSite(it.store, newSite('The other', testIds(2)))
    it.store.db
      .update(sites)
      .set({ updatedAt: new Date(0) })
      .where(eq(sites.id, other))
      .run()
    const [first, second] = (await listSites(it.store)).sites
    expect([first!.name, second!.name]).toEqual(['Tallow & Twine', 'The other'])
    expect(first).toMatchObject({ id: it.id, revision: 0, pages: 1, exportedRevision: null })
    it.rename(0, 'First')
    expect((await listSites(it.store)).sites[0]).toMatchObject({ name: 'First', revision: 1 })
    setDeleted(it.store, it.id, true)
    expect((await listSites(it.store)).sites.map((one) => one.id)).toEqual([other])
  })

  test('does not read what was counted before, though the sites themselves are no longer held', async () => {
    await listSites(it.store)
    knownSites(it.store).clear()
    await listSites(it.store)
    expect(knownSites(it.store).size).toBe(0)
  })
})

describe('what is held of sites', () => {
  test('has an end: what was used longest ago is read again', () => {
    const { site } = getSite(it.store, it.id)
    const { length } = knownSites(it.store).get(it.id)!
    expect(length).toBe(JSON.stringify(site).length)
    const most = knownSites(it.store).maxSize
    for (let n = 0; n <= most / length; n++) knownSites(it.store).set(`other-${n}`, { revision: 0, site, length })
    expect(knownSites(it.store).has(it.id)).toBe(false)
    expect(knownSites(it.store).calculatedSize).toBeLessThanOrEqual(most)
    expect(getSite(it.store, it.id).site).toEqual(site)
  })
})
