import { eq } from 'drizzle-orm'
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import type { Edit } from '#core/edits/index'
import { pictureFile } from '#core/formats/holdings'
import { writeSiteZip } from '#core/formats/site-zip'
import { readSite, writeSite } from '#core/formats/site-json'
import { section, worded } from '#core/site/made.fixture'
import { findBlock, walkPage } from '#core/site/tree'
import { databaseFile, openStore, store as openedStore, type Store } from './database'
import { sites } from './schema'
import { storeFont } from './fonts'
import { removeFolder } from './remove-folder'
import { exportSiteFile, importSite } from './site-files'
import { createSite, editsSince, forgetDeleted, getSite, siteIds, MissingError, saveEdits, setDeleted } from './sites'

let folder: string
let store: Store
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
})
afterEach(() => {
  store.close()
  removeFolder(folder)
})

const site = demoSite()
const text = [...walkPage(site.pages[0]!)].find((block) => block.kind === 'text')!
const words = (value: string): Edit => ({ kind: 'words', block: text.id, words: { en: [value] } })

describe('saving edits', () => {
  test('keeps the edits in the log and the document with them, also for a server that starts anew', () => {
    const id = createSite(store, site)
    expect(
      saveEdits(store, id, 0, [
        { key: 'a', edit: words('One') },
        { key: 'b', edit: words('Two') },
      ]),
    ).toEqual({ status: 'saved', revision: 2, refused: [] })
    store.close()
    store = openStore(join(folder, 'test.db'))
    const kept = getSite(store, id)
    expect(kept.revision).toBe(2)
    expect(findBlock(kept.site, text.id)!.block).toMatchObject({ words: { en: ['Two'] } })
    expect(editsSince(store, id, 0).map((one) => one.key)).toEqual(['a', 'b'])
  })

  test('writes the edit alone: the document trails, is written after many edits, and both are read by a server that starts anew', () => {
    const id = createSite(store, site)
    const written = () => store.db.select({ at: sites.documentRevision }).from(sites).where(eq(sites.id, id)).get()!.at
    const reopened = () => {
      store.close()
      store = openStore(join(folder, 'test.db'))
      return findBlock(getSite(store, id).site, text.id)!.block
    }
    for (let i = 0; i < 20; i++) saveEdits(store, id, i, [{ key: `k${i}`, edit: words(`Edit ${i}`) }])
    expect(written()).toBe(0)
    expect(reopened()).toMatchObject({ words: { en: ['Edit 19'] } })
    const many = Array.from({ length: 600 }, (_, i) => ({ key: `m${i}`, edit: words(`More ${i}`) }))
    expect(saveEdits(store, id, 20, many)).toMatchObject({ status: 'saved', revision: 620 })
    expect(written()).toBe(620)
    expect(reopened()).toMatchObject({ words: { en: ['More 599'] } })
  })

  test('gives a client that is behind what it missed, and saves nothing', () => {
    const id = createSite(store, site)
    saveEdits(store, id, 0, [{ key: 'a', edit: words('One') }])
    expect(saveEdits(store, id, 0, [{ key: 'b', edit: words('Two') }])).toEqual({
      status: 'behind',
      revision: 1,
      missed: [{ revision: 1, key: 'a', edit: words('One') }],
    })
    expect(getSite(store, id).revision).toBe(1)
  })

  test('refuses by name what does not apply, and keeps the rest', () => {
    const id = createSite(store, site)
    const gone: Edit = { kind: 'words', block: 'gone', words: { en: ['x'] } }
    const result = saveEdits(store, id, 0, [
      { key: 'a', edit: gone },
      { key: 'b', edit: words('Two') },
    ])
    expect(result).toEqual({
      status: 'saved',
      revision: 1,
      refused: [{ key: 'a', reason: 'The block "gone" is no longer on any page.' }],
    })
  })

  test('makes an edit that is sent twice once', () => {
    const id = createSite(store, site)
    saveEdits(store, id, 0, [{ key: 'a', edit: { kind: 'remove', blocks: [text.id] } }])
    expect(saveEdits(store, id, 1, [{ key: 'a', edit: { kind: 'remove', blocks: [text.id] } }])).toEqual({
      status: 'saved',
      revision: 1,
      refused: [],
    })
  })

  test('lets no site grow past what its own file may have, in however many edits', () => {
    // A megabyte in each.
    const heavy = (n: number): Edit => {
      const letters = 'Stars. '.repeat(2_800)
      const children = Array.from({ length: 54 }, (_, i) => worded('text', `heavy-${n}-${i}`, letters))
      return { kind: 'insert', parent: site.pages[0]!.id, index: 0, blocks: [section(`heavy-${n}`, children)] }
    }
    const id = createSite(store, site)
    const made = Array.from({ length: 22 }, (_, n) => ({ key: `h${n}`, edit: heavy(n) }))
    const result = saveEdits(store, id, 0, made)
    const refused = result.status === 'saved' ? result.refused : []
    expect(refused.map(({ key }) => key)).toEqual(['h18', 'h19', 'h20', 'h21'])
    expect(refused[0]!.reason).toMatch(/^The site would weigh 20 MB/)
    // What is there is opened again from its own file; what takes out, or makes it shorter, is still made.
    const now = getSite(store, id)
    const text = writeSite(now.site)
    expect(text.length).toBeGreaterThan(18 * 1024 * 1024)
    expect(readSite(text)).toEqual(now.site)
    const after = saveEdits(store, id, now.revision, [
      { key: 'name', edit: { kind: 'site', field: 'name', value: 'Heavy' } },
      { key: 'less', edit: { kind: 'remove', blocks: ['heavy-0'] } },
    ])
    expect(after).toMatchObject({ status: 'saved', refused: [] })
  })

  test('to a site that is not there says so', () => {
    expect(() => saveEdits(store, 'nowhere', 0, [])).toThrow(MissingError)
  })
})

describe('sites', () => {
  test('a deleted one is gone from the list and can be brought back', () => {
    const id = createSite(store, site)
    setDeleted(store, id, true)
    expect(siteIds(store)).toEqual([])
    expect(() => getSite(store, id)).toThrow(MissingError)
    forgetDeleted(store)
    setDeleted(store, id, false)
    expect(siteIds(store)).toEqual([id])
  })

  test('a file with its pictures opens as the same site, and can be written again', async () => {
    const pictures = new Map(
      site.pictures.map((one) => [one.hash, new Uint8Array(readFileSync(join('demo', 'pictures', pictureFile(one))))]),
    )
    const id = await importSite(store, writeSiteZip({ site, pictures }))
    expect(getSite(store, id).site).toEqual(site)
    const again = await importSite(store, await exportSiteFile(store, getSite(store, id).site))
    expect(getSite(store, again).site).toEqual(site)
  })

  test('a file with a font of its own brings it along, and one with another in its place is refused', async () => {
    const kept = await storeFont(
      store,
      readFileSync('node_modules/@fontsource-variable/karla/files/karla-latin-wght-normal.woff2'),
      'karla.woff2',
    )
    const withFont = { ...site, pictures: [], fonts: [{ ...kept, id: 'f1', licence: 'Open' }] }
    const id = await importSite(store, await exportSiteFile(store, withFont))
    expect(getSite(store, id).site.fonts).toEqual(withFont.fonts)
    const damaged = new Map([[kept.hash, new Uint8Array([1, 2, 3])]])
    await expect(importSite(store, writeSiteZip({ site: withFont, pictures: new Map(), fonts: damaged }))).rejects.toThrow(
      /The font "Karla[^"]*" in the file is not the one/,
    )
  })

  test('a file without its pictures, or with others in their place, is refused and adds nothing', async () => {
    await expect(importSite(store, new TextEncoder().encode(writeSite(site)))).rejects.toThrow(/lacks 7 of its pictures/)
    const wrong = new Map(site.pictures.map((one) => [one.hash, new Uint8Array([1, 2, 3])]))
    await expect(importSite(store, writeSiteZip({ site, pictures: wrong }))).rejects.toThrow(
      /not the one that the site was saved with/,
    )
    expect(siteIds(store)).toEqual([])
  })
})

test('the data are where they are asked to be', () => {
  expect(databaseFile('/tmp/a/b.db')).toBe('/tmp/a/b.db')
  expect(databaseFile('/tmp/a')).toBe('/tmp/a/yarrowfinch.db')
  expect(databaseFile('')).toMatch(/data\/yarrowfinch\.db$/)
})

test('a database that is damaged is not written to', () => {
  const file = join(folder, 'damaged', 'yarrowfinch.db')
  mkdirSync(join(folder, 'damaged'))
  const bytes = Buffer.concat([Buffer.from('SQLite format 3\0'), Buffer.alloc(8000, 7)])
  writeFileSync(file, bytes)
  vi.stubEnv('YARROWFINCH_DATA', file)
  try {
    expect(() => openedStore()).toThrow(/damaged|cannot be read/)
  } finally {
    vi.unstubAllEnvs()
  }
  expect(readFileSync(file).equals(bytes)).toBe(true)
})
