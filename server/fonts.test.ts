import { convert } from 'fontverter'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import subset from 'subset-font'
import { afterAll, describe, expect, test } from 'vitest'
import { ownFontSchema } from '#core/type/own-font'
import { metricsOf } from '#core/type/metrics'
import { cutFont, readFont, storeFont } from './fonts'
import { removeFolder } from './remove-folder'

const folder = mkdtempSync(join(tmpdir(), 'yarrowfinch-fonts-'))
afterAll(() => removeFolder(folder))
const shipped = (id: string, slope = 'normal') =>
  readFileSync(`node_modules/@fontsource-variable/${id}/files/${id}-latin-wght-${slope}.woff2`)
const store = { folder }

describe('an uploaded font', () => {
  test.each([
    ['work-sans', 'normal', 'sans', false],
    ['source-serif-4', 'italic', 'serif', true],
    ['jetbrains-mono', 'normal', 'mono', false],
    ['roboto-slab', 'normal', 'slab', false],
  ] as const)('%s, %s, is kept, with what its tables say', async (id, slope, kind, italic) => {
    const kept = await storeFont(store, shipped(id, slope), `${id}.woff2`)
    expect(ownFontSchema.parse({ ...kept, id: 'f1' })).toMatchObject({ class: kind, italic })
    expect(kept.weights[0]).toBeLessThan(kept.weights[1])
    expect(kept.metrics.averageAdvance).toBeCloseTo(metricsOf(id).averageAdvance, 1)
    expect(kept.licence).toMatch(/copyright|©/i)
    expect((await readFont(`${kept.hash}.woff2`, folder))!.length).toBeGreaterThan(1000)
  })

  test('may be TrueType, and is kept as WOFF2', async () => {
    const ttf = await convert(shipped('karla'), 'sfnt')
    expect(ttf[0]).not.toBe(0x77)
    const { hash } = await storeFont(store, ttf, 'karla.ttf')
    expect(new TextDecoder().decode((await readFont(`${hash}.woff2`, folder))!.subarray(0, 4))).toBe('wOF2')
  })

  test.each<[string, () => Promise<Uint8Array> | Uint8Array, RegExp]>([
    ['nothing', () => new Uint8Array(), /is empty/],
    ['text', () => new TextEncoder().encode('not a font'), /not a WOFF2, TTF or OTF font/],
    ['half a font', () => shipped('lora').subarray(0, 9000), /damaged/],
    ['no Latin', () => subset(shipped('lora'), '0123456789', { targetFormat: 'woff2' }), /lacks 52 of the 62 Latin letters/],
    ['too much', () => new Uint8Array(9 * 1024 * 1024), /weighs 9\.0 MB/],
  ])('with %s is refused with a sentence', async (_, bytes, sentence) => {
    await expect(storeFont(store, await bytes(), 'own.woff2')).rejects.toThrow(sentence)
  })
})

describe('font files', () => {
  test('of other names are not read', async () => {
    expect(await readFont('../../package.json', folder)).toBeUndefined()
    expect(await readFont(`${'0'.repeat(64)}.woff2`, folder)).toBeUndefined()
    expect(await readFont('lora-latin-wght-normal.woff2')).toBeDefined()
  })

  test('are cut to the characters of a text, once', async () => {
    const whole = shipped('fraunces')
    const cut = await cutFont('test', 'fraunces', whole, 'Bring a coat.')
    expect(cut.length).toBeLessThan(whole.length / 3)
    expect(await cutFont('test', 'fraunces', whole, 'Bring a coat.')).toBe(cut)
    // What was not asked for is gone, so such a font is no longer one to set Latin in.
    await expect(storeFont(store, cut, 'cut.woff2')).rejects.toThrow(/lacks \d+ of the 62/)
  })
})
