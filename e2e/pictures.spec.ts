import { type Browser, expect, test } from '@playwright/test'
import { createServer, type Server } from 'node:http'
import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { exportFiles } from '#server/web-export'
import { newBlock, newSection } from '#core/blocks/defaults'
import { idMaker } from '#core/values/ids'
import type { Block } from '#core/blocks/index'
import type { Picture } from '#core/picture/picture'
import type { Site } from '#core/site/schema'
import type { StyleValues } from '#core/style/registry'
import { pixels } from '#core/values/length'
import { sourcesOf } from '../bin/sources'

const SCREENS = [
  [320, 640],
  [375, 812],
  [480, 900],
  [768, 1024],
  [1024, 768],
  [1280, 800],
  [1920, 1080],
  [2560, 1440],
] as const

const TYPES: Record<string, string> = { html: 'text/html', css: 'text/css', webp: 'image/webp', woff2: 'font/woff2' }

/** What makes every choice of a file be made, and none be painted, which takes the longest: pictures are loaded at once and not seen. */
const unpainted = (html: string): string =>
  html.replaceAll('loading="lazy"', '').replace('</head>', '<style>html { visibility: hidden }</style></head>')

/** Serves the files of an export. */
function serve(files: ReadonlyMap<string, Uint8Array>): Promise<{ server: Server; url: string }> {
  const server = createServer((request, response) => {
    const file = decodeURIComponent(request.url!.split('?')[0]!).slice(1)
    const bytes = files.get(file)
    if (!bytes) return void response.writeHead(404).end()
    response.setHeader('Content-Type', TYPES[file.split('.').at(-1)!] ?? 'application/octet-stream')
    response.end(file.endsWith('.html') ? unpainted(new TextDecoder().decode(bytes)) : bytes)
  })
  return new Promise((done) =>
    server.listen(0, '127.0.0.1', () => done({ server, url: `http://127.0.0.1:${(server.address() as { port: number }).port}` })),
  )
}

/** Which file Chromium takes for each picture of an exported site, and what it is drawn at, in px of the screen. */
async function choices(browser: Browser, files: ReadonlyMap<string, Uint8Array>) {
  const { server, url } = await serve(files)
  const found: { what: string; file: number; needed: number; most: number }[] = []
  for (const deviceScaleFactor of [1, 2]) {
    const context = await browser.newContext({ deviceScaleFactor })
    const page = await context.newPage()
    // The narrow ones first: a wider file that is there already may be taken.
    for (const [width, height] of SCREENS) {
      await page.setViewportSize({ width, height })
      await page.goto(`${url}/index.html`)
      // The page's load event waits for its pictures; what is drawn of them is no matter here.
      const list = await page.evaluate(() =>
        [...document.images].map((image) => {
          if (!image.complete || image.naturalWidth === 0) throw new Error(`${image.src} is not there.`)
          const box = image.getBoundingClientRect()
          const most = Number(image.getAttribute('width'))
          const ratio = most / Number(image.getAttribute('height'))
          const contains = getComputedStyle(image).objectFit === 'contain'
          const drawn = contains ? Math.min(box.width, box.height * ratio) : Math.max(box.width, box.height * ratio)
          return { src: image.currentSrc, most, drawn }
        }),
      )
      for (const { src, most, drawn } of list) {
        const file = Number(/-(\d+)\.webp$/.exec(src)?.[1] ?? most)
        found.push({
          what: `${src.split('/').at(-1)} at ${width}, ${deviceScaleFactor}x`,
          file,
          needed: drawn * deviceScaleFactor,
          most,
        })
      }
    }
    await context.close()
  }
  server.close()
  return found
}

/** A site whose pictures stand where `sizes` is hard: in rows, of fixed height, cropped, behind words of any length. */
function hardSite(): Site {
  const demo = JSON.parse(readFileSync('demo/observatory.site.json', 'utf8')) as Site
  let state = 3
  const makeId = idMaker(() => ((state = (state * 16807) % 2147483647), state / 2147483647))
  const known = demo.pictures
  let next = 0
  const picture = (base: StyleValues): Block => ({
    ...newBlock('picture', makeId),
    picture: known[next++ % known.length]!.id,
    alt: { en: '' },
    style: { base },
  })
  const text = (words: number): Block => ({ ...newBlock('text', makeId), words: { en: ['word '.repeat(words).trim()] } })
  const group = (base: StyleValues, children: Block[]): Block => ({ ...newBlock('group', makeId), style: { base }, children })
  const section = (base: StyleValues, children: Block[]) => ({ ...newSection('story', makeId), style: { base }, children })
  const air = { paddingTop: pixels(80), paddingBottom: pixels(80) }
  return {
    ...demo,
    pages: [
      {
        ...demo.pages[0]!,
        sections: [
          section({ minHeight: { value: 90, unit: 'vh' } }, [picture({ position: 'backdrop' }), text(12)]),
          section(air, [picture({ position: 'backdrop' }), text(240)]),
          section(air, [group({ layout: 'row', gap: pixels(24) }, [picture({ grow: true }), picture({ grow: true })])]),
          section(air, [
            picture({ height: pixels(700), span: 4 }),
            picture({ aspect: { width: 1, height: 2 }, span: 4 }),
            picture({ maxWidth: pixels(240), span: 4 }),
          ]),
          section(air, [
            group({ layout: 'grid', tracks: 3 }, [picture({ span: 1 }), picture({ span: 2, fit: 'contain', height: pixels(300) })]),
          ]),
        ],
      },
    ],
  }
}

const sites: [string, () => Site][] = [
  ['the demo', () => JSON.parse(readFileSync('demo/observatory.site.json', 'utf8')) as Site],
  ['a site of pictures that are hard to size', hardSite],
]
for (const [name, make] of sites) {
  test(`pictures of ${name} are neither blurred nor wasted, at any width and density`, async ({ browser }) => {
    // Which file is taken hangs on its name and its size, not on what is to be seen on it.
    const plain = async ({ width, height }: Picture, wanted: number | null) => {
      const create = {
        width: wanted ?? width,
        height: Math.round(((wanted ?? width) * height) / width),
        channels: 3,
        background: '#246',
      } as const
      return new Uint8Array(await sharp({ create }).webp({ effort: 0 }).toBuffer())
    }
    const site = make()
    const { font } = sourcesOf({
      pictures: new Map(),
      fonts: new Map(),
      files: new Map(),
    })
    const { files } = await exportFiles(site, 'readable', plain, font)
    const found = await choices(browser, new Map(files.map(({ file, bytes }) => [file, bytes])))
    expect(found.length).toBeGreaterThan(80)
    const wrong = found.filter(({ file: px, needed, most }) => Math.min(needed, most) / px > 1.1 || px / needed > 1.8)
    expect(
      wrong.length / found.length,
      wrong.map((one) => `${one.what}: ${Math.round(one.needed)} needed`).join('\n'),
    ).toBeLessThanOrEqual(0.03)
  })
}
