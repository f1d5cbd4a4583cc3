import sharp from 'sharp'
import { describe, expect, test } from 'vitest'
import { demoSite } from '#core/edits/edits.fixture'
import { iconOf } from '#core/render/site-icons'
import { readFont } from './fonts'
import { iconFiles } from './site-icons'
import { unknownWords } from './threads/spelling'
import { filesInRules } from './weights'

describe('the icon of a site', () => {
  const none = () => Promise.resolve(undefined)
  const fileOf = async (name: string, site = demoSite()) => {
    const files = await iconFiles(site, iconOf(site)!, none, (file) => readFont(file))
    return Buffer.from(files.find((one) => one.file === name)!.bytes)
  }

  test('is its letter as an outline, which changes its colours where the browser is dark', async () => {
    const svg = (await fileOf('icon.svg')).toString()
    expect(svg).toMatch(/prefers-color-scheme:dark/)
    expect(svg).toMatch(/<path class="i" transform="[^"]+" d="M[^"]{40,}"/)
  })

  test('is there at all sides, with the letter in its middle', async () => {
    const { data, info } = await sharp(await fileOf('icon-192.png'))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
    expect([info.width, info.height]).toEqual([192, 192])
    const light = (x: number, y: number) => data[(y * 192 + x) * info.channels]!
    // The letter is an H, whose bar is in the middle; beside it there is ground.
    expect(light(96, 96)).toBeGreaterThan(200)
    expect(light(96, 60)).toBeLessThan(60)
  })

  test('is an ICO file that holds a PNG', async () => {
    const ico = await fileOf('favicon.ico')
    expect([...ico.subarray(0, 6)]).toEqual([0, 0, 1, 0, 1, 0])
    expect(await sharp(ico.subarray(22)).metadata()).toMatchObject({ format: 'png', width: 32, height: 32 })
  })

  test('of a picture is cut out about its focal point', async () => {
    const site = demoSite()
    const picture = site.pictures[0]!
    const wide = await sharp({ create: { width: 300, height: 100, channels: 3, background: '#000000' } })
      .composite([
        {
          input: await sharp({ create: { width: 100, height: 100, channels: 3, background: '#FFFFFF' } })
            .png()
            .toBuffer(),
          left: 200,
          top: 0,
        },
      ])
      .png()
      .toBuffer()
    const shown = { ...picture, type: 'image/png', width: 300, height: 100, focal: { x: 90, y: 50 } } as const
    const files = await iconFiles(site, { picture: shown }, () => Promise.resolve(new Uint8Array(wide)), none)
    expect(files.map((one) => one.file)).not.toContain('icon.svg')
    const { data } = await sharp(files.find((one) => one.file === 'icon-192.png')!.bytes)
      .raw()
      .toBuffer({ resolveWithObject: true })
    expect(Math.min(...data.subarray(0, 600))).toBe(255)
  })

  test('whose picture is gone is none', async () => {
    const site = demoSite()
    expect(await iconFiles(site, { picture: site.pictures[0]! }, none, none)).toEqual([])
    expect(iconOf({ ...site, launch: { icon: { picture: 'gone' } } })).toBeUndefined()
  })
})

describe('spelling', () => {
  const ask = (words: string[], own: string[] = [], language = 'en') => unknownWords({ language, words, own })

  test('finds what no dictionary has, with what it may be meant to be', async () => {
    const [found, ...more] = (await ask(['observatry', 'telescope', 'colour', 'color', 'well-kept', 'dome’s']))!
    expect(more).toEqual([])
    expect(found).toMatchObject({ word: 'observatry', meant: expect.arrayContaining(['observatory']) as string[] })
  })

  test('knows the site’s own words', async () => {
    expect(await ask(['Hollinry', 'hollinry'], ['Hollinry'])).toEqual([])
  })

  test('says where it has no dictionary', async () => {
    expect(await ask(['Sternwarte'], [], 'de')).toBeUndefined()
  })
})

test('pictures in rules are those of the classes of a page, at a width', () => {
  const css =
    '.a{background:url(pictures/wide.webp)}.b{background:url("pictures/other.webp")}@media(width<640px){.a{background:url(pictures/narrow.webp)}}.c{color:red}'
  expect(filesInRules(css, new Set(['a']), 1280)).toEqual(['pictures/wide.webp'])
  expect(filesInRules(css, new Set(['a']), 375)).toEqual(['pictures/narrow.webp'])
  expect(filesInRules(css, new Set(['b', 'c']), 375)).toEqual(['pictures/other.webp'])
})
