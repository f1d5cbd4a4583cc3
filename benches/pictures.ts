import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import sharp from 'sharp'
import { openStore } from '#server/database'
import { storePicture } from '#server/pictures'
import { removeFolder } from '#server/remove-folder'
import { createSite } from '#server/sites'
import { composed, start, temporaryFolder } from '../e2e/application'
import { CHROMIUM } from '../playwright.config'
import { middleOf as median, print } from './measure'
import { siteOf } from './pages'

// Words over a picture of 12 megapixels against drawing and reading its pixels; forty uploads at once against the screen at rest.

const data = temporaryFolder()
const store = openStore(join(data, 'yarrowfinch.db'))
const large = new Uint8Array(
  await sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="4000" height="3000"><defs><linearGradient id="g"><stop stop-color="#d8c9a0"/><stop offset="1" stop-color="#203050"/></linearGradient></defs><rect width="4000" height="3000" fill="url(#g)"/></svg>',
    ),
  )
    .jpeg({ quality: 92 })
    .toBuffer(),
)
const { hash } = await storePicture(store, large, 'dusk.jpg')
const id = createSite(store, siteOf(40))
store.close()

const ninetyFifth = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)]!

/** The worker that the tray asks, as it was built. */
const worker = readdirSync(join('build', 'client', 'assets')).find((name) => /^legibility-.*\.js$/.test(name))!

/** Times of one text of two lines over a picture, ms: as the worker measures it, and of drawing and reading all its pixels. */
async function legibility(page: Page, ink: { r: number; g: number; b: number; a: number }) {
  return page.evaluate(
    async ({ url, source, ink: colour }) => {
      const running = new Worker(url, { type: 'module' })
      const line = (top: number) => ({ left: 0, top, width: 720, height: 68 })
      const asked = {
        part: { width: 1120, height: 140 },
        ground: { r: 255, g: 255, b: 255, a: 1 },
        layers: [
          {
            kind: 'picture',
            rect: { left: -80, top: -180, width: 1280, height: 560 },
            url: source,
            size: { width: 4000, height: 3000 },
            crop: { fit: 'cover', focal: { x: 50, y: 50 } },
          },
        ],
        lines: [line(0), line(70)],
        patch: 30,
        ink: colour,
        needed: 3,
        scrim: {
          after: 1,
          instead: 0,
          rect: { left: -80, top: -180, width: 1280, height: 560 },
          colour: { r: 20, g: 20, b: 30, a: 1 },
          angle: 90,
        },
        inks: [],
        places: [],
      }
      const ask = () =>
        new Promise<void>((done) => {
          const key = String(Math.random())
          const heard = (event: MessageEvent<{ id?: string }>) => {
            if (event.data.id !== key) return
            running.removeEventListener('message', heard)
            done()
          }
          running.addEventListener('message', heard)
          running.postMessage({ id: key, type: 'APPLY', path: ['of'], argumentList: [{ type: 'RAW', value: asked }] })
        })
      const whole = async () => {
        const bitmap = await createImageBitmap(await (await fetch(source)).blob())
        const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
        const context = canvas.getContext('2d', { willReadFrequently: true })!
        context.drawImage(bitmap, 0, 0)
        return context.getImageData(0, 0, bitmap.width, bitmap.height).data[0]
      }
      const time = async (work: () => Promise<unknown>) => {
        const from = performance.now()
        await work()
        return performance.now() - from
      }
      await whole()
      await ask()
      const found: { measured: number[]; drawn: number[] } = { measured: [], drawn: [] }
      for (let n = 0; n < 9; n++) {
        found.measured.push(await time(ask))
        found.drawn.push(await time(whole))
      }
      running.terminate()
      return found
    },
    { url: `/assets/${worker}`, source: `/pictures/${hash}`, ink },
  )
}

/** Times from one frame to the next, ms, for as long as a promise takes, and at least for a second. */
const watch = (page: Page) =>
  page.evaluate(() => {
    const times: number[] = []
    let last = performance.now()
    const frame = (now: number) => {
      times.push(now - last)
      last = now
      requestAnimationFrame(frame)
    }
    requestAnimationFrame(frame)
    Object.assign(window, { times })
  })
const takeTimes = (page: Page) =>
  page.evaluate(() => {
    const { times } = window as unknown as { times: number[] }
    return times.splice(0)
  })

const app = await start(data)
const browser = await chromium.launch(CHROMIUM)
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${app.url}/sites/${id}`)
  await composed(page)
  for (const [row, ink] of [
    ['words-over', { r: 10, g: 10, b: 20, a: 1 }],
    ['words-over-repairs', { r: 200, g: 190, b: 170, a: 1 }],
  ] as const) {
    const { measured, drawn } = await legibility(page, ink)
    print(row, median(measured) / median(drawn), `${median(measured).toFixed(0)} and ${median(drawn).toFixed(0)} ms`)
  }
  await page.keyboard.press('i')
  const dialog = page.getByRole('dialog', { name: 'Pictures' })
  await dialog.waitFor()
  await watch(page)
  await new Promise((done) => setTimeout(done, 2000))
  const rest = await takeTimes(page)
  const files = await Promise.all(
    Array.from({ length: 40 }, async (_, i) => ({
      name: `view-${i}.jpg`,
      mimeType: 'image/jpeg',
      buffer: await sharp({ create: { width: 2400, height: 1600, channels: 3, background: `rgb(${i * 6}, 90, 120)` } })
        .jpeg()
        .toBuffer(),
    })),
  )
  await takeTimes(page)
  await dialog.getByLabel('Upload pictures', { exact: true }).setInputFiles(files)
  await dialog.getByText('40 of 40').waitFor({ timeout: 120_000 })
  const busy = await takeTimes(page)
  print(
    'sent-frames',
    ninetyFifth(busy) / ninetyFifth(rest),
    `${ninetyFifth(busy).toFixed(0)} and ${ninetyFifth(rest).toFixed(0)} ms`,
  )
} finally {
  await browser.close()
  await app.stop('SIGKILL')
  removeFolder(data)
}
