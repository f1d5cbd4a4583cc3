import { mkdtempSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, test } from 'vitest'
import { linkedFileSchema } from '#core/site/linked-file'
import { readLinked, storeFile } from './linked-files'
import { removeFolder } from './remove-folder'

const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-files-'))
afterAll(() => removeFolder(folder))
const store = { folder }
const bytesOf = (text: string) => new TextEncoder().encode(text)

describe('a file that links lead to', () => {
  test.each([
    ['Tide tables.pdf', '%PDF-1.7 …'],
    ['week.ics', '\uFEFFBEGIN:VCALENDAR\r\n'],
    ['boats.CSV', 'name,places\nWren,8\n'],
    ['route.zip', 'PK\u0003\u0004'],
    ['song.mp3', 'ID3\u0004'],
  ])('%s is kept as it is', async (name, text) => {
    const kept = await storeFile(store, bytesOf(text), name)
    expect(linkedFileSchema.parse({ ...kept, id: 'one' })).toMatchObject({ name, bytes: bytesOf(text).length })
    expect(await readLinked(store, kept.hash)).toEqual(bytesOf(text))
  })

  test.each<[string, string, Uint8Array, RegExp]>([
    ['of another type', 'page.html', bytesOf('<script>'), /of no type that a site hands out/],
    ['of no name', '.pdf', bytesOf('%PDF-'), /of no type/],
    ['with nothing in it', 'plan.pdf', new Uint8Array(), /is empty/],
    ['that says it is another', 'plan.pdf', bytesOf('<html>'), /there is no PDF in it/],
    ['that is no text', 'list.csv', new Uint8Array([0xff, 0xfe, 0x00]), /there is no CSV in it/],
    ['too heavy', 'plan.pdf', new Uint8Array(31 * 1024 * 1024), /30 MB at most/],
  ])('%s is refused with a sentence', async (_, name, bytes, sentence) => {
    const before = readdirSync(join(folder, 'files')).length
    await expect(storeFile(store, bytes, name)).rejects.toThrow(sentence)
    expect(readdirSync(join(folder, 'files'))).toHaveLength(before)
  })

  test('is read by its hash alone', async () => {
    expect(await readLinked(store, '../yarrowfinch.db')).toBeUndefined()
    expect(await readLinked(store, '0'.repeat(64))).toBeUndefined()
  })
})
