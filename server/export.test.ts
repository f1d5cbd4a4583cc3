import { execFile } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { promisify } from 'node:util'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { newBlock } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import { demoSite } from '#core/edits/edits.fixture'
import { writeSiteZip } from '#core/formats/site-zip'
import { webFiles } from '#core/formats/web-files'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { testIds } from '#core/values/ids.fixture'
import { exportSite as exportHere } from '../bin/export'
import { findIcons } from './icons'
import { removeFolder } from './remove-folder'

const run = promisify(execFile)
const exportSite = (...args: string[]) => run('npx', ['tsx', 'bin/export.ts', ...args])

let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
})
afterAll(() => removeFolder(folder))

test('the export command writes what the interface exports, pictures in their widths', async () => {
  const [, page] = demoSite().pages
  const site = { ...demoSite(), pages: [page!] }
  const file = join(folder, 'one.site.json')
  writeFileSync(file, JSON.stringify(site))
  symlinkSync(resolve('demo/pictures'), join(folder, 'pictures'))
  const out = join(folder, 'exported')
  await exportSite(file, out, '--minify')
  const wanted = webFiles(site, 'minified')
  for (const { file: name, text } of wanted.texts) expect(readFileSync(join(out, name), 'utf8')).toBe(text)
  expect(wanted.pictures.length).toBeGreaterThan(0)
  expect(readdirSync(join(out, 'pictures')).length).toBe(wanted.pictures.length)
  const [one] = wanted.pictures
  expect((await sharp(join(out, one!.file)).metadata()).width).toBe(one!.width)
  expect(readdirSync(join(out, 'fonts')).length).toBe(wanted.fonts.length)
}, 60_000)

/** How the command ends, and what it complains of. */
const ended = async (...args: string[]) => {
  let said = ''
  const code = await exportHere(
    args,
    () => undefined,
    (line) => (said += line),
  )
  return { code, said }
}

test('it says what is wrong with a call, a file or a missing picture, and fails', async () => {
  expect(await ended()).toMatchObject({ code: 2, said: expect.stringContaining('Usage: npm run export') as string })
  expect(await ended('nowhere.site.json', folder)).toMatchObject({
    code: 1,
    said: expect.stringContaining('There is no file') as string,
  })
  const broken = join(folder, 'broken.site.json')
  writeFileSync(broken, '{"format": "other"}')
  expect(await ended(broken, folder)).toMatchObject({ code: 1, said: expect.stringContaining('not a Yarrowfinch site') as string })
  const alone = join(folder, 'alone', 'alone.site.json')
  mkdirSync(join(folder, 'alone'))
  writeFileSync(alone, readFileSync('demo/observatory.site.json'))
  expect(await ended(alone, join(folder, 'out'))).toMatchObject({
    code: 1,
    said: expect.stringContaining('is not in the file') as string,
  })
}, 60_000)

const bytesOf = (text: string) => new TextEncoder().encode(text)
const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex')

/** A site file that holds a picture and a file of these bytes, and shows and hands out both. */
function holding(name: string, picture: Uint8Array, file: Uint8Array, hashes = [hashOf(picture), hashOf(file)]): string {
  const site = {
    ...siteOf('Held', [
      section('Plan', [
        { ...newBlock('picture', testIds()), id: 'shown', picture: 'p' } as Block,
        { ...worded('link', 'leads', 'Tides'), link: { file: 'f' } } as Block,
      ]),
    ]),
    pictures: [{ id: 'p', name: 'mark.svg', hash: hashes[0]!, type: 'image/svg+xml' as const, width: 9, height: 9 }],
    files: [{ id: 'f', name: 'tides.pdf', hash: hashes[1]!, bytes: file.length }],
  }
  const path = join(folder, name)
  writeFileSync(path, writeSiteZip({ site, pictures: new Map([[hashes[0]!, picture]]), files: new Map([[hashes[1]!, file]]) }))
  return path
}
const SVG = bytesOf(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><script>alert(1)</script><path d="M0 0h9v9z"/></svg>',
)
const PDF = bytesOf('%PDF-1.7 tides')

test('what a site file holds is checked and cleaned as an upload to the server is', async () => {
  const out = join(folder, 'held')
  expect(await ended(holding('held.site.zip', SVG, PDF), out)).toMatchObject({ code: 0 })
  const [svg] = readdirSync(join(out, 'pictures'))
  expect(readFileSync(join(out, 'pictures', svg!), 'utf8')).not.toContain('script')
  expect(readFileSync(join(out, 'files', 'tides.pdf'))).toEqual(Buffer.from(PDF))
  for (const [name, path, said] of [
    ['an HTML file as a PDF', holding('html.site.zip', SVG, bytesOf('<script>alert(1)</script>')), /there is no PDF in it/],
    ['a picture that is none', holding('none.site.zip', bytesOf('<html></html>'), PDF), /is not a JPEG, PNG/],
    [
      'another picture',
      holding('other.site.zip', SVG, PDF, ['a'.repeat(64), hashOf(PDF)]),
      /picture "mark.svg" in the file is not the one/,
    ],
    [
      'another file',
      holding('wrong.site.zip', SVG, PDF, [hashOf(SVG), 'b'.repeat(64)]),
      /file "tides.pdf" in the file is not the one/,
    ],
    ['a folder', folder, /is a folder/],
  ] as const) {
    const { code, said: text } = await ended(path, join(folder, 'nothing'))
    expect([code, text], name).toEqual([1, expect.stringMatching(said)])
  }
  expect(existsSync(join(folder, 'nothing'))).toBe(false)
}, 60_000)

test('nothing is written through a link in the folder', async () => {
  const out = join(folder, 'linked')
  const elsewhere = join(folder, 'elsewhere')
  mkdirSync(out)
  mkdirSync(elsewhere)
  symlinkSync(elsewhere, join(out, 'pictures'))
  const path = holding('link.site.zip', SVG, PDF)
  expect(await ended(path, out)).toMatchObject({ code: 1, said: expect.stringContaining('is a link to another place') as string })
  expect([readdirSync(elsewhere), readdirSync(out)]).toEqual([[], ['pictures']])
}, 60_000)

test('icons are found by their names and by their words', () => {
  expect(findIcons('telescope')[0]!.name).toBe('telescope')
  expect(findIcons('astronomy').map((one) => one.name)).toContain('telescope')
  expect(findIcons('')).toHaveLength(90)
  // Where something of it is seen, for those that are centred by it.
  expect(findIcons('telescope')[0]!.bounds).toHaveLength(4)
})
