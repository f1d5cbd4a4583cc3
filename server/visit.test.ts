import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { pictureFile } from '#core/formats/holdings'
import { writeSiteZip } from '#core/formats/site-zip'
import { openStore, type Store } from './database'
import { mockupMarkup } from './mockup'
import { removeFolder } from './remove-folder'
import { importSite } from './site-files'
import { getSite, saveEdits } from './sites'
import { visitFile } from './visit'

let folder: string
let store: Store
let id: string
const site = demoSite()
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
  const pictures = new Map(
    site.pictures.map((one) => [one.hash, new Uint8Array(readFileSync(join('demo', 'pictures', pictureFile(one))))]),
  )
  id = await importSite(store, writeSiteZip({ site, pictures }))
})
afterAll(() => {
  store.close()
  removeFolder(folder)
})

const textOf = async (name: string) => String((await visitFile(store, id, name))?.bytes)

describe('a visit', () => {
  test('gets the page, and every file that the page and its stylesheet name', async () => {
    const html = await textOf('index.html')
    const css = await textOf('style.css')
    const files = [...html.matchAll(/(?:src|href)="([\w/.-]+\.(?:webp|css))"/g), ...css.matchAll(/url\("((?!data:)[^"]+)"\)/g)].map(
      ([, file]) => file!,
    )
    expect(files.length).toBeGreaterThan(5)
    for (const file of new Set(files)) expect(await visitFile(store, id, file), file).toBeDefined()
  })

  test('gets each file as what it is', async () => {
    const types = await Promise.all(
      ['index.html', 'style.css', 'fonts/fraunces-latin-wght-normal.woff2'].map(
        async (name) => (await visitFile(store, id, name))?.type,
      ),
    )
    expect(types).toEqual(['text/html; charset=utf-8', 'text/css; charset=utf-8', 'font/woff2'])
  })

  test('gets nothing that is not part of the site', async () => {
    for (const name of ['', 'other.html', '../yarrowfinch.db', 'pictures/moon.jpg', 'fonts/lora-latin-wght-normal.woff2']) {
      expect(await visitFile(store, id, name), name).toBeUndefined()
    }
  })

  test('gets the newest revision', async () => {
    const heading = site.pages[0]!.sections[1]!.children.find((one) => one.kind === 'heading')!
    saveEdits(store, id, 0, [{ key: 'a', edit: { kind: 'words', block: heading.id, words: { en: ['A newer claim'] } } }])
    expect(await textOf('index.html')).toContain('A newer claim')
  })
})

describe('a page that is played', () => {
  const played = async (name: string, engine?: 'plain' | 'calm') => String((await visitFile(store, id, name, engine))?.bytes)

  test('in an engine without timelines of the scroll is started by the script, and asks nothing of timelines', async () => {
    expect(await played('style.css')).toContain('animation-timeline')
    const css = await played('style.css', 'plain')
    expect(css).not.toContain('animation-timeline')
    expect(css).toContain('.moves ')
    expect(await played('motion.js', 'plain')).not.toContain('CSS.supports')
    expect(await played('motion.js')).toContain('CSS.supports')
  })

  test('for who wants no motion has none, and the same words', async () => {
    expect(await played('style.css', 'calm')).not.toContain('@keyframes')
    expect(await visitFile(store, id, 'motion.js', 'calm')).toBeUndefined()
    const words = (html: string) => html.replace(/<[^>]+>/g, '').replace(/\s+/g, ' ')
    expect(words(await played('index.html', 'calm'))).toBe(words(await played('index.html')))
  })

  test('is watched by a script that no export has', async () => {
    expect(await visitFile(store, id, 'watch.js')).toMatchObject({ type: 'text/javascript; charset=utf-8' })
    expect(await played('index.html')).not.toContain('watch.js')
  })
})

test('a site that is edited without pause is printed once after the other: each gets what there was, or newer', async () => {
  let { revision } = getSite(store, id)
  const rename = (value: string) =>
    ({ revision } = saveEdits(store, id, revision, [{ key: value, edit: { kind: 'site', field: 'name', value } }]))
  const asked = Array.from({ length: 12 }, async (_, n) => {
    rename(`Name ${n}`)
    return Number(/Name (\d+)/.exec(await textOf('index.html'))![1])
  })
  const got = await Promise.all(asked)
  for (const [n, name] of got.entries()) expect(name).toBeGreaterThanOrEqual(n)
  expect(new Set(got).size).toBeLessThan(4)

  rename('Name 99')
  // What is on a page that was given out comes at once, from that print or a newer one.
  expect(String((await visitFile(store, id, 'index.html', undefined, true))?.bytes)).toContain('Name 11')
  expect(await textOf('index.html')).toContain('Name 99')
})

test('a mockup holds all that it shows, and needs nothing else', async () => {
  const { body } = await mockupMarkup(store, site, site.pages[0]!, 768, 1)
  const outside = [...body.matchAll(/(?:src|url)\(?="?([^")\s]+)/g)]
    .map(([, url]) => url!)
    .filter((url) => !url.startsWith('data:'))
  expect(outside).toEqual([])
  expect(body).toContain('data:image/webp;base64,')
  expect(body).toContain('url("data:font/woff2;base64,')
  expect(body).toContain('--vh:10.24px')
  expect(body).toMatch(/<img [^>]*\/>/)
  expect(body).toContain('<svg class="reasons-icon" aria-hidden="true"')
  expect(body.match(/<svg [^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/g)).toHaveLength(3)
})
