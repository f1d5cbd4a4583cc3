import { eq } from 'drizzle-orm'
import { describe, expect, test } from 'vitest'
import { newSite } from '#core/site/defaults'
import { testIds } from '#core/values/ids.fixture'
import { edits, sites } from './schema'
import { listSites } from './listing'
import { createSite, getSite, UnreadableError } from './sites'
import { lastGood, rawSite, returnToGood } from './unreadable'
import { testStore } from './store.fixture'

const it = testStore()

describe('a site that cannot be read', () => {
  test('is named as such, keeps no other from being shown, and comes back to the edit before the bad one', async () => {
    createSite(it.store, newSite('The other', testIds(2)))
    it.rename(0, 'First')
    it.rename(1, 'Second')
    // What an older version took, and this one does not.
    const bad = JSON.stringify({ kind: 'site', field: 'name', value: '' })
    it.store.db.insert(edits).values({ site: it.id, revision: 3, key: 'bad', edit: bad, createdAt: new Date() }).run()
    it.store.db.update(sites).set({ revision: 3 }).where(eq(sites.id, it.id)).run()
    it.restart()
    const listed = await listSites(it.store)
    expect(listed.sites.map((one) => one.name)).toEqual(['The other'])
    expect(listed.unreadable).toMatchObject([{ id: it.id, revision: 3 }])
    expect(lastGood(it.store, it.id)).toMatchObject({ revision: 2, site: { name: 'Second' } })
    expect(() => getSite(it.store, it.id)).toThrow(UnreadableError)
    expect(JSON.parse(rawSite(it.store, it.id))).toMatchObject({ site: { id: it.id }, edits: [{}, {}, { key: 'bad' }] })

    returnToGood(it.store, it.id)
    expect(getSite(it.store, it.id)).toMatchObject({ revision: 2, site: { name: 'Second' } })
    expect(it.rename(2, 'Third')).toMatchObject({ status: 'saved', revision: 3 })
    it.restart()
    expect(getSite(it.store, it.id).site.name).toBe('Third')
  })

  test('comes back to the document that was last found valid, when the newest is damaged on the disk', async () => {
    it.rename(0, 'First')
    it.restart()
    expect(getSite(it.store, it.id).site.name).toBe('First')
    it.store.db.update(sites).set({ document: '{"format":', documentRevision: 1 }).where(eq(sites.id, it.id)).run()
    it.restart()
    expect((await listSites(it.store)).unreadable).toMatchObject([{ id: it.id }])
    expect(lastGood(it.store, it.id)).toMatchObject({ revision: 1, site: { name: 'First' } })
    returnToGood(it.store, it.id)
    expect(getSite(it.store, it.id).site.name).toBe('First')
  })

  test('without any valid document says so, and nothing is lost', async () => {
    it.store.db.update(sites).set({ document: 'x', goodDocument: null }).where(eq(sites.id, it.id)).run()
    it.restart()
    expect((await listSites(it.store)).unreadable).toMatchObject([{ id: it.id }])
    expect(lastGood(it.store, it.id)).toBeNull()
    expect(() => returnToGood(it.store, it.id)).toThrow(/No revision of this site can be read/)
    expect(rawSite(it.store, it.id)).toContain('"document": "x"')
  })
})
