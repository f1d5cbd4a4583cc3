import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp, { type Sharp } from 'sharp'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { MAX_PICTURE } from '#core/picture/picture'
import { openStore, type Store } from './database'
import { keptPictures, pictureAt, pictureType, readOriginal, shownWidth, storePicture } from './pictures'
import { removeFolder } from './remove-folder'

let folder: string
let store: Store
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-'))
  store = openStore(join(folder, 'test.db'))
})
afterAll(() => {
  store.close()
  removeFolder(folder)
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

  test('is no drawing because its notes hold one', async () => {
    const jpeg = await bytesOf(
      drawn()
        .jpeg()
        .withMetadata({ exif: { IFD0: { ImageDescription: '<svg viewBox="0 0 9 9"></svg>' } } }),
    )
    expect(new TextDecoder('latin1').decode(jpeg.subarray(0, 4096))).toContain('<svg')
    expect(await storePicture(store, jpeg, 'a.jpg')).toMatchObject({ type: 'image/jpeg', width: 320 })
  })

  test('that is too large is called so, and not damaged', async () => {
    const wide = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><path d="M0 0h9v9z"/></svg>'
    expect(await storePicture(store, new TextEncoder().encode(`\uFEFF\n<?xml version="1.0"?>${wide}`), 'a.svg')).toMatchObject({
      type: 'image/svg+xml',
    })
    const long = await bytesOf(drawn(31_000, 2).png())
    await expect(storePicture(store, long, 'a.png')).rejects.toThrow(/31000 × 2 px.*30,000 px long at most/)
  })

  test('is shown in a few widths, whatever is asked for', () => {
    expect([16, 160, 161, 900, 1600, 1601, 99_999].map(shownWidth)).toEqual([160, 160, 320, 1200, 1600, 2400, 4000])
  })

  test('is made smaller once, and never larger than it is', async () => {
    const { hash } = await storePicture(store, await bytesOf(drawn(300, 200).png()), 'a.png')
    const widths = await Promise.all(
      [150, 150, 900].map(async (width) => (await sharp(await pictureAt(store, hash, width)).metadata()).width),
    )
    expect(widths).toEqual([150, 150, 300])
    expect(await pictureAt(store, 'f'.repeat(64), 100)).toBeUndefined()
  })

  test('that is longer than the formats take is made as large as they do, in each of them', async () => {
    const { hash } = await storePicture(store, await bytesOf(drawn(90, 20_000).png()), 'a.png')
    for (const format of ['webp', 'avif', 'own'] as const)
      for (const width of [40, 90]) {
        const made = await pictureAt(store, hash, width, undefined, { format })
        const { width: across, height } = await sharp(made).metadata()
        expect(Math.max(across, height), `${format}, ${width} px`).toBeLessThanOrEqual(16_383)
        expect(across / height).toBeCloseTo(90 / 20_000, 3)
      }
  })

  test('that is drawn on a field larger than any memory is made at the widths that are asked for, turned as well', async () => {
    const text =
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 30000 20000"><path fill="red" d="M0 0h30000v20000H0z"/></svg>'
    const { hash } = await storePicture(store, new TextEncoder().encode(text), 'a.svg')
    for (const [turn, ratio] of [
      [undefined, 1.5],
      [90, 1 / 1.5],
      [180, 1.5],
    ] as const)
      for (const width of [160, 1200]) {
        const { width: across, height } = await sharp(await pictureAt(store, hash, width, undefined, { turn })).metadata()
        expect([across, Math.round((across / height) * 100)], `turned ${turn}`).toEqual([width, Math.round(ratio * 100)])
      }
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
