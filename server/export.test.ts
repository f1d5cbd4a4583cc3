import { execFile } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { promisify } from 'node:util'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { webFiles } from '#core/formats/web-files'
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

test('it says what is wrong with a call, a file or a missing picture, and fails', async () => {
  const ended = async (...args: string[]) => {
    let said = ''
    const code = await exportHere(
      args,
      () => undefined,
      (line) => (said += line),
    )
    return { code, said }
  }
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

test('icons are found by their names and by their words', () => {
  expect(findIcons('telescope')[0]!.name).toBe('telescope')
  expect(findIcons('astronomy').map((one) => one.name)).toContain('telescope')
  expect(findIcons('')).toHaveLength(90)
  // Where something of it is seen, for those that are centred by it.
  expect(findIcons('telescope')[0]!.bounds).toHaveLength(4)
})
