import { mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { openStore, type Store } from './database'
import { storePicture } from './pictures'
import { styleSheetDrawing, styleSheetPage } from './guide-page'
import { removeFolder } from './remove-folder'

const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-sheet-'))
let store: Store
beforeAll(() => {
  store = openStore(join(folder, 'yarrowfinch.db'))
})
afterAll(() => {
  store.close()
  removeFolder(folder)
})
const site = demoSite()
const page = site.pages[0]!

test('the page for the client has the fonts of its direction, with their fallbacks', () => {
  const html = styleSheetPage(site, page, 'logbook')
  expect(html).toContain('/fonts/bricolage-grotesque-latin-wght-normal.woff2')
  expect(html).toContain('Bricolage Grotesque fallback')
  expect(html).not.toContain('fraunces-latin')
  expect(html).toContain('Logbook')
})

test('the drawing holds all that it shows; a picture that is not kept is left without', async () => {
  const without = await styleSheetDrawing(store, site, page, 'lamplight')
  expect(without).toContain('data:font/woff2;base64,')
  expect(without).not.toContain('data:image/webp')
  const name = readdirSync('demo/pictures').find((one) =>
    one.startsWith(site.pictures.find((two) => two.id === 'ridge-at-dusk')!.hash),
  )!
  await storePicture(store, new Uint8Array(readFileSync(join('demo/pictures', name))), name)
  const drawn = await styleSheetDrawing(store, site, page, 'lamplight')
  expect(drawn).toContain('data:image/webp;base64,')
  expect(drawn).not.toMatch(/(src|href)="(https?:|\/)/)
})
