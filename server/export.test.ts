import { execFile } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
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
  await exportSite('demo/observatory.site.json', folder, '--minify')
  const wanted = webFiles(demoSite(), 'minified')
  for (const { file, text } of wanted.texts) expect(readFileSync(join(folder, file), 'utf8')).toBe(text)
  expect(readdirSync(join(folder, 'pictures')).length).toBe(wanted.pictures.length)
  const [one] = wanted.pictures
  expect((await sharp(join(folder, one!.file)).metadata()).width).toBe(one!.width)
  expect(readdirSync(join(folder, 'fonts')).length).toBe(wanted.fonts.length)
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
