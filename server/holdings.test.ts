import { existsSync, mkdtempSync, readdirSync, readFileSync, utimesSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { HOLDING_KINDS, type HoldingKind, HOLDINGS, namedBy, ofEachHolding } from '#core/formats/holdings'
import { readSiteFile, writeSiteZip } from '#core/formats/site-zip'
import { section, siteOf, worded } from '#core/site/made.fixture'
import type { Site } from '#core/site/schema'
import { backUp, restore } from './backup'
import { openStore, type Store } from './database'
import { removeFolder } from './remove-folder'
import { createSite, getSite, setDeleted } from './sites'
import { exportSiteFile, importSite, KEEPERS } from './site-files'
import { keepUp } from './upkeep'

/** Files of every kind that a site may hold, as somebody uploads them; a new kind without one is an error of types. */
const UPLOADS: Record<HoldingKind, () => Promise<[name: string, bytes: Uint8Array][]>> = {
  async pictures() {
    const plain = sharp({ create: { width: 12, height: 8, channels: 3, background: '#c83' } })
    return [
      ['dusk.png', new Uint8Array(await plain.clone().png().toBuffer())],
      ['noon.webp', new Uint8Array(await plain.clone().webp().toBuffer())],
      [
        'mark.svg',
        new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><path d="M0 0h9v9z"/></svg>'),
      ],
    ]
  },
  async fonts() {
    return [['karla.woff2', readFileSync('node_modules/@fontsource-variable/karla/files/karla-latin-wght-normal.woff2')]]
  },
  async files() {
    return [
      ['Tide tables.pdf', new TextEncoder().encode('%PDF-1.7 tides')],
      ['week.ics', new TextEncoder().encode('BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n')],
    ]
  },
}

let place: string
let store: Store
let site: Site
const open = (name: string) => openStore(join(place, name, 'yarrowfinch.db'))
beforeEach(async () => {
  place = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = open('data')
  const held = ofEachHolding((): object[] => [])
  for (const kind of HOLDING_KINDS)
    for (const [name, bytes] of await UPLOADS[kind]()) {
      const kept = await KEEPERS[kind].keep(store, bytes, name)
      held[kind].push({ name, ...(kind === 'fonts' ? { licence: 'Open' } : {}), ...kept, id: `${kind}-${held[kind].length}` })
    }
  site = { ...siteOf('One of everything', [section('Plan', [worded('text', 'words', 'Tides')])]), ...(held as object) }
})
afterEach(() => {
  store.close()
  removeFolder(place)
})

/** The bytes of all that a site holds, by kind and name, as a server keeps them. */
async function bytesOf(at: Store, of: Site): Promise<[string, Uint8Array | undefined][]> {
  const named = namedBy(of)
  const all = HOLDING_KINDS.flatMap((kind) => named[kind].map((one) => ({ kind, ...one })))
  return Promise.all(
    all.map(async ({ kind, name, hash }): Promise<[string, Uint8Array | undefined]> => [
      `${kind}/${name}`,
      await KEEPERS[kind].read(at, hash),
    ]),
  )
}

test('a store keeps what the list names, and in no other folder', async () => {
  const all = await bytesOf(store, site)
  expect(all).toHaveLength(6)
  for (const [name, bytes] of all) expect(bytes?.length, name).toBeGreaterThan(0)
  const folders = readdirSync(join(place, 'data'), { withFileTypes: true }).filter((one) => one.isDirectory())
  expect(folders.map((one) => one.name).sort()).toEqual([...HOLDING_KINDS].sort())
})

test('a backup brings back all that a site holds, byte for byte', async () => {
  const id = createSite(store, site)
  const before = await bytesOf(store, site)
  expect(await backUp(join(place, 'data', 'yarrowfinch.db'), join(place, 'copy'))).toBe(before.length)
  await restore(join(place, 'copy'), join(place, 'other', 'yarrowfinch.db'))
  const other = open('other')
  expect(getSite(other, id).site).toEqual(site)
  expect(await bytesOf(other, site)).toEqual(before)
  other.close()
})

test('a site file takes all of it to another server, and from there back', async () => {
  const before = await bytesOf(store, site)
  const file = await exportSiteFile(store, site)
  const { site: _, ...held } = readSiteFile(file)
  expect(HOLDING_KINDS.map((kind) => held[kind].size)).toEqual(HOLDING_KINDS.map((kind) => HOLDINGS[kind].of(site).length))
  const other = open('other')
  const there = getSite(other, await importSite(other, file)).site
  expect(there).toEqual(site)
  expect(await bytesOf(other, there)).toEqual(before)
  expect(await exportSiteFile(other, there)).toEqual(await exportSiteFile(store, there))
  other.close()
})

test('a site file that lacks one of anything, or has another in its place, is refused by a server that has it not', async () => {
  const other = open('other')
  const whole = readSiteFile(await exportSiteFile(store, site))
  for (const kind of HOLDING_KINDS) {
    const [{ name, hash } = { name: '', hash: '' }] = HOLDINGS[kind].of(site)
    const { what } = HOLDINGS[kind]
    const without = new Map([...whole[kind]].filter(([one]) => one !== hash))
    await expect(importSite(other, writeSiteZip({ ...whole, [kind]: without }))).rejects.toThrow(
      `The file lacks its ${what} "${name}"`,
    )
    const wrong = new Map(whole[kind]).set(hash, new Uint8Array([1, 2, 3]))
    await expect(importSite(other, writeSiteZip({ ...whole, [kind]: wrong }))).rejects.toThrow(
      `The ${what} "${name}" in the file is not the one that the site was saved with.`,
    )
  }
  other.close()
})

test('upkeep keeps what a site holds however old, and takes it out 30 days after the site is gone', async () => {
  const id = createSite(store, site)
  const days = (count: number) => Date.now() + count * 24 * 60 * 60 * 1000
  const age = () => {
    for (const kind of HOLDING_KINDS)
      for (const name of readdirSync(join(place, 'data', kind)))
        utimesSync(join(place, 'data', kind, name), new Date(0), new Date(0))
  }
  age()
  expect(await keepUp(store)).toEqual({ drafts: 0, unused: 0 })
  expect((await bytesOf(store, site)).every(([, bytes]) => bytes !== undefined)).toBe(true)
  setDeleted(store, id, true)
  expect(await keepUp(store, days(31))).toEqual({ drafts: 0, unused: 6 })
  for (const kind of HOLDING_KINDS) expect(readdirSync(join(place, 'data', kind)), kind).toEqual([])
  expect(existsSync(join(place, 'data', 'yarrowfinch.db'))).toBe(true)
})
