import { execFile } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { promisify } from 'node:util'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { webFiles } from '#core/formats/web-files'
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
  expect(wanted.pictures.length).toBeGreaterThan(1)
  expect(readdirSync(join(out, 'pictures')).length).toBe(wanted.pictures.length)
  const [one] = wanted.pictures
  expect((await sharp(join(out, one!.file)).metadata()).width).toBe(one!.width)
  expect(readdirSync(join(out, 'fonts')).length).toBe(wanted.fonts.length)
}, 60_000)

test('it says what is wrong with a call, a file or a missing picture, and fails', async () => {
  await expect(exportSite()).rejects.toMatchObject({
    code: 2,
    stderr: expect.stringContaining('Usage: npm run export') as string,
  })
  await expect(exportSite('nowhere.site.json', folder)).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringContaining('There is no file') as string,
  })
  const broken = join(folder, 'broken.site.json')
  writeFileSync(broken, '{"format": "other"}')
  await expect(exportSite(broken, folder)).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringContaining('not a Yarrowfinch site') as string,
  })
  const alone = join(folder, 'alone.site.json')
  writeFileSync(alone, readFileSync('demo/observatory.site.json'))
  await expect(exportSite(alone, join(folder, 'out'))).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringContaining('is not in the file') as string,
  })
}, 60_000)

test('icons are found by their names and by their words', () => {
  expect(findIcons('telescope')[0]!.name).toBe('telescope')
  expect(findIcons('astronomy').map((one) => one.name)).toContain('telescope')
  expect(findIcons('')).toHaveLength(90)
  // Where something of it is seen, for those that are centred by it.
  expect(findIcons('telescope')[0]!.bounds).toHaveLength(4)
})
