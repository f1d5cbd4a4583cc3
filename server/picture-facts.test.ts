import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp, { type Sharp } from 'sharp'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { FormatError } from '#core/formats/site-json'
import { openStore, type Store } from './database'
import { boundsOf } from './icon-bounds'
import { ownIcon } from './own-icon'
import { ownShape } from './own-shape'
import { pictureFacts } from './picture-facts'
import { madeOf, pictureAt, storePicture } from './pictures'
import { removeFolder } from './remove-folder'
import { fileTaken } from './weights'

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

const bytes = async (image: Sharp) => new Uint8Array(await image.toBuffer())
const drawn = (width = 400, height = 300, background = '#d8492a') => sharp({ create: { width, height, channels: 3, background } })
const chequered = (side: number) => {
  const data = Buffer.alloc(800 * 600 * 3)
  for (let n = 0; n < 800 * 600; n++)
    data.fill((Math.floor((n % 800) / side) + Math.floor(n / 800 / side)) % 2 ? 255 : 0, n * 3, n * 3 + 3)
  return sharp(data, { raw: { width: 800, height: 600, channels: 3 } }).png()
}

describe('the facts of a picture', () => {
  test('name its weight, its colours and its depth', async () => {
    const file = await bytes(drawn().jpeg().withIccProfile('srgb'))
    const { hash } = await storePicture(store, file, 'a.jpg')
    const facts = (await pictureFacts(store, hash))!
    expect(facts).toMatchObject({ bytes: file.length, space: 'srgb', depth: 8, frames: 1, transparent: 0 })
    expect(facts.profile).toMatch(/sRGB/i)
    expect(await pictureFacts(store, hash)).toEqual(facts)
  })

  test('say how sharp it is, and how much of it lets through', async () => {
    const [sharpOne, softOne] = await Promise.all(
      [
        chequered(4),
        sharp(await chequered(4).toBuffer())
          .blur(6)
          .png(),
      ].map(async (one) => storePicture(store, await bytes(one), 'a.png')),
    )
    const [crisp, soft] = [(await pictureFacts(store, sharpOne!.hash))!, (await pictureFacts(store, softOne!.hash))!]
    expect(crisp.sharpness).toBeGreaterThan(soft.sharpness * 4)
    const half = sharp({ create: { width: 100, height: 100, channels: 4, background: '#ff000000' } }).composite([
      { input: await drawn(50, 100).png().toBuffer(), left: 0, top: 0 },
    ])
    const { hash } = await storePicture(store, await bytes(half.png()), 'half.png')
    expect((await pictureFacts(store, hash))!.transparent).toBeCloseTo(0.5, 2)
  })
})

describe('files made to hurt', () => {
  test('of 16 bits, in CMYK and with more than one frame are taken, and shown as they can be', async () => {
    const deep = await bytes(drawn().toColourspace('rgb16').png())
    const print = await bytes(drawn().toColourspace('cmyk').jpeg())
    const frames = Buffer.concat([await drawn(60, 40, '#ff0000').raw().toBuffer(), await drawn(60, 40, '#00ff00').raw().toBuffer()])
    const moving = await bytes(
      sharp(frames, { raw: { width: 60, height: 80, channels: 3, pageHeight: 40 } }).webp({ loop: 0, delay: [100, 100] }),
    )
    for (const [file, name, expected] of [
      [deep, 'deep.png', { depth: 16 }],
      [print, 'print.jpg', { space: 'cmyk' }],
      [moving, 'moving.webp', { frames: 2 }],
    ] as const) {
      const { hash } = await storePicture(store, file, name)
      expect(await pictureFacts(store, hash)).toMatchObject(expected)
      const made = await sharp(await pictureAt(store, hash, 320)).metadata()
      expect(made).toMatchObject({ format: 'webp', space: 'srgb' })
    }
  })

  test('cut short, of another kind than their name, or all pixels and no weight are refused with the reason', async () => {
    const whole = await bytes(chequered(3))
    await expect(storePicture(store, whole.subarray(0, whole.length / 2), 'cut.png')).rejects.toThrow(/"cut.png" is damaged/)
    await expect(storePicture(store, new TextEncoder().encode('%PDF-1.7 nothing'), 'a.jpg')).rejects.toThrow(
      /"a.jpg" is not a JPEG/,
    )
    const gif = await bytes(drawn(20, 20).gif())
    await expect(storePicture(store, gif, 'a.png')).rejects.toThrow(/gif picture/)
    const bomb = await bytes(
      sharp({ create: { width: 16_000, height: 14_000, channels: 3, background: '#fff' } }).png({ compressionLevel: 9 }),
    )
    expect(bomb.length).toBeLessThan(2_000_000)
    await expect(storePicture(store, bomb, 'bomb.png')).rejects.toThrow(/224 megapixels.*200 at most/)
    await expect(storePicture(store, new Uint8Array([0, 0, 0, 24, 0x66, 0x74, 0x79, 0x70, 1, 2, 3, 4]), 'a.mp4')).rejects.toThrow(
      /no pictures|damaged video/,
    )
  }, 60_000)

  test('as SVG are cleaned of scripts and of what they would fetch', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><script>alert(1)</script><image href="http://elsewhere.example/x.png"/><rect width="10" height="10" fill="url(http://elsewhere.example/#a)" onload="x()"/></svg>'
    const { hash } = await storePicture(store, new TextEncoder().encode(svg), 'a.svg')
    const kept = new TextDecoder().decode((await pictureAt(store, hash, 160)) ?? new Uint8Array())
    expect(kept).not.toMatch(/script|elsewhere|onload/)
  })
})

describe('pictures as they are asked for', () => {
  test('turn by quarters, let through, and come in each format', async () => {
    const source = await bytes(drawn(400, 300).jpeg())
    expect(await sharp(await madeOf(source, 150, { turn: 90 })).metadata()).toMatchObject({ width: 150, height: 200 })
    const { data } = await sharp(await madeOf(source, 40, { opacity: 0.5, format: 'own' }, 'image/png'))
      .raw()
      .toBuffer({ resolveWithObject: true })
    expect(data[3]).toBe(128)
    const formats = await Promise.all(
      (['avif', 'webp', 'own'] as const).map(
        async (format) => (await sharp(await madeOf(source, 100, { format }, 'image/jpeg')).metadata()).format,
      ),
    )
    expect(formats).toEqual(['heif', 'webp', 'jpeg'])
  })

  test('of those that an image offers the browser takes the nearest', () => {
    const widths = [320, 384, 461, 553].map((width) => ({ file: `a-${width}`, width }))
    const offers = [
      { media: 600, widths: [], sizes: undefined, src: 'narrow' },
      { media: null, widths, sizes: '(width >= 900px) 400px, 50vw', src: 'a' },
    ]
    expect(fileTaken(offers, 500, 1)).toBe('narrow')
    expect(fileTaken(offers, 1280, 1)).toBe('a-461')
    expect(fileTaken(offers, 640, 1)).toBe('a-320')
    expect(fileTaken(offers, 1280, 2)).toBe('a-553')
  })
})

describe('own drawings', () => {
  const encode = (text: string) => new TextEncoder().encode(text)

  test('become icons on the field of 24, in one colour, with transforms worked in', async () => {
    const icon = await ownIcon(
      encode(
        '<svg viewBox="0 0 48 48"><g transform="translate(12 0)" fill="none" stroke="#f00" stroke-width="4"><path d="M0 0H24V48"/></g><script>x</script></svg>',
      ),
      'Corner Mark.svg',
    )
    expect(icon.name).toBe('corner-mark')
    const [[tag, values]] = icon.nodes as [(typeof icon.nodes)[number]]
    expect(tag).toBe('path')
    expect(values).toMatchObject({ fill: 'none', stroke: 'currentColor', 'stroke-width': '2' })
    const [x, y, width, height] = boundsOf(icon.nodes, 0)
    expect([x, y, width, height].map((one) => Math.round(one))).toEqual([6, 0, 12, 24])
  })

  test('keep their colours as shapes, and say why they cannot be taken', async () => {
    const shape = await ownShape(
      encode(
        '<svg viewBox="0 0 100 50"><rect width="100" height="50" fill="teal"/><circle cx="50" cy="25" r="10" fill="none" stroke="rgb(255,0,0)" stroke-width="3"/></svg>',
      ),
      'flag.svg',
    )
    expect(shape.view).toEqual({ width: 100, height: 50 })
    expect(shape.parts.map(({ fill, stroke }) => [fill, stroke])).toEqual([
      [{ hex: '#008080' }, undefined],
      [undefined, { hex: '#FF0000' }],
    ])
    await expect(ownShape(encode('<svg viewBox="0 0 9 9"><text>a</text></svg>'), 'a.svg')).rejects.toThrow(/holds no shapes/)
    await expect(ownIcon(encode('<html></html>'), 'a.svg')).rejects.toThrow(/no svg element/)
  })

  const inside = (inner: string, more = '') => `<svg viewBox="0 0 100 50" ${more}>${inner}</svg>`
  const rect = '<rect width="9" height="9"/>'

  test.each([
    ['a transform of letters alone', inside(`<g transform="${'a'.repeat(20_000)}">${rect}</g>`)],
    ['a transform of brackets alone', inside(`<g transform="${'('.repeat(20_000)}">${rect}</g>`)],
    [
      'a transform that is named as what every object has',
      inside(`<g transform="constructor(1) toString(2) __proto__(3)">${rect}</g>`),
    ],
    ['a hundred thousand transforms', inside(`<g transform="${'scale(1)'.repeat(100_000)}">${rect}</g>`)],
  ])('with %s is read as if there were none', async (_, text) => {
    const plain = await ownShape(encode(inside(rect)), 'a.svg')
    expect(await ownShape(encode(text), 'a.svg')).toEqual(plain)
    expect((await ownIcon(encode(text), 'a.svg')).nodes).toHaveLength(1)
  })

  test.each([
    ['a path of two megabytes', inside(`<path d="M0 0${'L1 1'.repeat(480_000)}"/>`), /a path of [\d,]+ signs/],
    ['sixty thousand shapes', inside('<path d="M0 0"/>'.repeat(60_000)), /more than (60|40) shapes/],
    ['thirty thousand groups', inside('<g>'.repeat(30_000) + rect), /nested too deep/],
    ['a path that is none', inside('<path d="M0 0 Q zz 9 !!"/>'), /cannot be read|more in it/],
    ['scales beyond all measure', inside(`<g transform="scale(1e308) scale(1e308)">${rect}</g>`), /beyond all measure/],
    ['a field of no figures', inside(rect, 'viewBox="a b 10 10"').replace('viewBox="0 0 100 50" ', ''), /beyond all measure/],
  ])('with %s is refused with a sentence, as a shape and as an icon', async (_, text, sentence) => {
    for (const read of [ownShape, ownIcon]) {
      const ended = await read(encode(text), 'a.svg').then(
        () => 'taken',
        (error: Error) => error,
      )
      expect(ended, read.name).toBeInstanceOf(FormatError)
      expect((ended as Error).message).toMatch(sentence)
    }
  })
})
