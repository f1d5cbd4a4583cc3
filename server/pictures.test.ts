import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp, { type Sharp } from 'sharp'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { openStore, type Store } from './database'
import { keptPictures, MAX_PICTURE, pictureAt, pictureType, readOriginal, storePicture } from './pictures'

let folder: string
let store: Store
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
})
afterAll(() => {
  store.close()
  rmSync(folder, { recursive: true, force: true })
})

const drawn = (width = 320, height = 200) => sharp({ create: { width, height, channels: 3, background: '#1A1D47' } })
const bytesOf = async (image: Sharp) => new Uint8Array(await image.toBuffer())

describe('a picture', () => {
  test.each(['jpeg', 'png', 'webp', 'avif'] as const)('in %s is kept as it came, under its hash', async (format) => {
    const bytes = await bytesOf(drawn().toFormat(format))
    const stored = await storePicture(store, bytes, `a.${format}`)
    expect(stored).toMatchObject({ type: `image/${format}`, width: 320, height: 200 })
    expect(await readOriginal(store, stored.hash)).toEqual(bytes)
    expect(pictureType(store, stored.hash)).toBe(`image/${format}`)
    expect(keptPictures(store, [stored.hash, 'x'])).toEqual(new Set([stored.hash]))
  })

  test('that lies on its side has the size that it is seen in', async () => {
    const bytes = await bytesOf(drawn(320, 200).jpeg().withMetadata({ orientation: 6 }))
    expect(await storePicture(store, bytes, 'a.jpg')).toMatchObject({ width: 200, height: 320 })
  })

  test('is made smaller once, and never larger than it is', async () => {
    const { hash } = await storePicture(store, await bytesOf(drawn(300, 200).png()), 'a.png')
    const widths = await Promise.all(
      [150, 150, 900].map(async (width) => (await sharp(await pictureAt(store, hash, width)).metadata()).width),
    )
    expect(widths).toEqual([150, 150, 300])
    expect(await pictureAt(store, 'f'.repeat(64), 100)).toBeUndefined()
  })

  test('in SVG is cleaned before it is kept', async () => {
    const source = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><script>x()</script><path d="M0 0h9"/></svg>'
    const { hash, type } = await storePicture(store, new TextEncoder().encode(source), 'a.svg')
    expect(type).toBe('image/svg+xml')
    expect(new TextDecoder().decode(await readOriginal(store, hash))).not.toContain('script')
  })

  test.each<[string, () => Promise<Uint8Array>, RegExp]>([
    ['no picture', () => Promise.resolve(new TextEncoder().encode('hello')), /is not a JPEG, PNG, WebP, AVIF or SVG picture/],
    ['empty', () => Promise.resolve(new Uint8Array()), /is empty/],
    ['too heavy', () => Promise.resolve(new Uint8Array(MAX_PICTURE + 1)), /30 MB at most/],
    ['of another kind', () => bytesOf(drawn().gif()), /is a gif picture/],
    [
      'cut short',
      async () =>
        (
          await bytesOf(
            sharp({
              create: {
                width: 900,
                height: 900,
                channels: 3,
                background: '#123',
                noise: { type: 'gaussian', mean: 120, sigma: 40 },
              },
            }).jpeg(),
          )
        ).slice(0, 20_000),
      /damaged/,
    ],
  ])('that is %s is refused with a sentence', async (_, bytes, sentence) => {
    await expect(storePicture(store, await bytes(), 'a.jpg')).rejects.toThrow(sentence)
  })
})
