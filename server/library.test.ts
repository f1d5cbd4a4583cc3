import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { expect, test } from 'vitest'
import { openStore } from './database'
import { libraryThumbnail, searchLibrary, takeFromLibrary } from './library'
import { keptPictures } from './pictures'
import { removeFolder } from './remove-folder'

test('the library has thirty pictures or more, each with a title and words', () => {
  const all = searchLibrary('')
  expect(all.length).toBeGreaterThanOrEqual(30)
  for (const one of all) {
    expect(one.title).not.toBe('')
    expect(one.words.length).toBeGreaterThan(2)
    expect(one.width).toBeGreaterThanOrEqual(2400)
  }
})

test.each([
  ['sea', ['calm-sea', 'grey-sea', 'sea-at-evening']],
  ['EVENING sea', ['sea-at-evening']],
  ['port wom', ['woman-in-a-green-coat', 'young-woman', 'warden-by-the-door']],
  ['zeppelin', []],
])('“%s” finds pictures that have the beginnings of all its words', (query, names) => {
  expect(searchLibrary(query).map((one) => one.name)).toEqual(names)
})

test('thumbnails are small, and a picture that is taken is kept as the site’s own', async () => {
  const small = await sharp(await libraryThumbnail('slate')).metadata()
  expect(small).toMatchObject({ width: 320, format: 'webp' })
  await expect(libraryThumbnail('../secret')).rejects.toThrow(/no such picture/)
  const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  const store = openStore(join(folder, 'test.db'))
  try {
    const taken = await takeFromLibrary(store, 'slate')
    expect(taken).toMatchObject({ type: 'image/jpeg', width: 2400, height: 1600 })
    expect(keptPictures(store, [taken.hash]).has(taken.hash)).toBe(true)
    await expect(takeFromLibrary(store, 'nothing')).rejects.toThrow(/no such picture/)
  } finally {
    store.close()
    removeFolder(folder)
  }
})
