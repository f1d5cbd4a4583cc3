import { existsSync, mkdtempSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { openStore, type Store } from './database'
import { makePictures } from './picture-progress'
import { storePicture } from './pictures'
import { removeFolder } from './remove-folder'

let store: Store
beforeEach(() => (store = openStore(join(mkdtempSync(join(tmpdir(), 'yarrowfinch-')), 'test.db'))))
afterEach(() => {
  store.close()
  removeFolder(store.folder)
})

const noise = () =>
  sharp({ create: { width: 400, height: 300, channels: 3, background: '#345', noise: { type: 'gaussian', mean: 128, sigma: 40 } } })
    .jpeg()
    .toBuffer()
const kept = () => (existsSync(join(store.folder, 'derivatives')) ? readdirSync(join(store.folder, 'derivatives')).length : 0)

async function wanted(count: number) {
  const stored = await storePicture(store, await noise(), 'noise.jpg')
  const picture = { id: 'p', name: 'Noise', ...stored }
  return Array.from({ length: count }, (_, i) => ({ file: `${i}`, picture, width: 40 + i }))
}

test('pictures are made and kept, and each is told of', async () => {
  const told = []
  for await (const { made, of } of makePictures(store, await wanted(9))) told.push(`${made} of ${of}`)
  expect(told[0]).toBe('0 of 9')
  expect(told.at(-1)).toMatch(/^\d+ of 9$/)
  expect(kept()).toBe(9)
})

test('one who stops listening stops the making', async () => {
  for await (const { made } of makePictures(store, await wanted(60))) if (made === 1) break
  expect(kept()).toBeLessThan(60)
})
