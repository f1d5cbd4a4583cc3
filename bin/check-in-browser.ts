import { existsSync } from 'node:fs'
import { chromium, type Page as Tab, type Route } from '@playwright/test'
import { accessFindings, viewsLookedAt } from '#core/analysis/access'
import { fontsCss } from '#core/type/fonts-css'
import { accessSchema } from '#core/render/access-script'
import { pageFile } from '#core/render/own-links'
import type { Finding } from '#core/analysis/finding'
import { turnSchema } from '#core/picture/picture'
import type { Site } from '#core/site/schema'
import { walkPage } from '#core/site/tree'
import { viewportHeightFor } from '#core/grid/viewport-height'
import { overFindings, type WordsOver } from '#core/analysis/words-over'
import type { WidthFinding } from '#core/sweep/find'
import { webFiles } from '#core/formats/web-files'
import { typeOfWanted } from '#server/pictures'
import { accessScript } from '#server/visit'
import type { Sources } from './sources'
import { bundled } from './bundle'
import { CHROMIUM } from '../playwright.config'

/** What was found on a page, by whatever it was found. */
export type Checked = Finding & { page: string; fault: boolean }

type Sweeps = {
  sweepPage: (site: unknown, page: number) => Promise<WidthFinding[]>
  wordsOfPage: (site: unknown, page: number) => Promise<WordsOver[]>
}

/** What was found on a page, or why it could not be looked at. */
export type Looked = Checked[] | { failed: string }

/** An address that is asked for nowhere else: all of it is answered here. */
const HOST = 'http://check.yarrowfinch.test'

/** Browsers in which pages are looked at beside each other: each has a process of its own, and machines have two cores at least. */
const BESIDE = 2

/**
 * Runs the pages of a site through all widths, and looks at their access, two pages at a time.
 * @param onPage told what was found on a page, by its number from 0, as soon as it is known
 * @returns false where there is no Chromium
 */
export async function checkInBrowser(
  site: Site,
  sources: Sources,
  onPage: (page: number, found: Looked) => void,
): Promise<boolean> {
  if (!existsSync(CHROMIUM.executablePath)) return false
  const answer = await answers(site, sources)
  const script = await accessScript()
  let next = 0
  const look = async () => {
    const browser = await chromium.launch(CHROMIUM)
    try {
      const context = await browser.newContext()
      await context.route('**/*', answer)
      const tab = await context.newPage()
      while (next < site.pages.length) {
        const n = next++
        onPage(n, await pageIn(tab, site, n, script).catch((error: Error) => ({ failed: error.message.split('\n')[0]! })))
      }
    } finally {
      await browser.close()
    }
  }
  await Promise.all(Array.from({ length: Math.min(BESIDE, site.pages.length) }, look))
  return true
}

/** Looks at one page in a tab. */
async function pageIn(tab: Tab, site: Site, n: number, script: string): Promise<Checked[]> {
  const page = site.pages[n]!
  await tab.goto(`${HOST}/`)
  await tab.addScriptTag({ url: `${HOST}/live/sweeps.js`, type: 'module' })
  await tab.waitForFunction('globalThis.wordsOfPage')
  const given = [site, n] as [unknown, number]
  const widths = await tab.evaluate((args) => (globalThis as unknown as Sweeps).sweepPage(...args), given)
  const over = await tab.evaluate((args) => (globalThis as unknown as Sweeps).wordsOfPage(...args), given)
  return [
    ...widths.map((one) => ({ ...one, page: page.id })),
    ...overFindings(site, page, over),
    ...(await accessOn(tab, site, page, script)),
  ]
}

async function accessOn(tab: Tab, site: Site, page: Site['pages'][number], script: string): Promise<Checked[]> {
  const reads = []
  for (const width of viewsLookedAt(site.views)) {
    await tab.setViewportSize({ width, height: viewportHeightFor(width) })
    await tab.goto(`${HOST}/site/${pageFile(page)}`)
    await tab.evaluate(`${script}\nglobalThis.accessOf = accessOf`)
    reads.push(accessSchema.parse(await tab.evaluate('accessOf()')))
  }
  const blocks = new Map([...walkPage(page)].map((one) => [one.id, one]))
  return accessFindings(reads, blocks, site.language).map((one) => ({ ...one, page: page.id }))
}

/** The sweeps as one module for the browser: of a page through all widths, and of its words over pictures. */
const SWEEPS = `import { createSweeper } from './app/live/sweep/sweeper'
  import { sweepWords } from './app/live/sweep/words'
  const running = { signal: new AbortController().signal, onProgress: () => undefined }
  const sweeper = createSweeper()
  globalThis.sweepPage = async (site, page) => (await sweeper.run(site, site.pages[page], running)).findings
  globalThis.wordsOfPage = (site, page) => sweepWords(site, site.pages[page], running)`

/** What answers a browser that looks at a site: its pages, pictures and fonts, and nothing else. */
async function answers(site: Site, { picture, font, linked }: Sources): Promise<(route: Route) => Promise<void>> {
  const files = webFiles(site, 'minified', (form) => `forms/${form.id}`, {}, 'checked')
  const css = fontsCss()
  const byHash = new Map(site.pictures.map((one) => [one.hash, one]))
  const types: Record<string, string> = { html: 'text/html; charset=utf-8', css: 'text/css', js: 'text/javascript' }
  let sweeps: Promise<string> | undefined
  const find = async ({ pathname, searchParams }: URL): Promise<{ body: string | Uint8Array; type: string } | undefined> => {
    if (pathname === '/') return { body: '<!doctype html><title>Check</title>', type: types.html! }
    if (pathname === '/live/sweeps.js') return { body: await (sweeps ??= bundled(SWEEPS, 'esm')), type: types.js! }
    // Where a module beside the sweeps looks for its worker.
    if (pathname === '/workers/legibility.ts')
      return { body: await bundled(`import './app/workers/legibility'`, 'esm'), type: types.js! }
    if (pathname === '/fonts.css') return { body: css, type: types.css! }
    const name = pathname.slice(pathname.lastIndexOf('/') + 1)
    if (/\/fonts\//.test(pathname)) {
      const body = await font(name)
      return body && { body, type: 'font/woff2' }
    }
    if (pathname.startsWith('/pictures/')) {
      const one = byHash.get(name)
      const turn = turnSchema.optional().parse(searchParams.has('turn') ? Number(searchParams.get('turn')) : undefined)
      const asked = searchParams.has('w') && (one?.type !== 'image/svg+xml' || turn !== undefined)
      const width = asked ? Number(searchParams.get('w')) : null
      const body = one && (await picture(one, width, { turn }))
      return body && { body, type: width === null ? one.type : 'image/webp' }
    }
    const file = pathname.replace(/^\/site\//, '')
    const text = files.texts.find((one) => one.file === file)
    if (text) return { body: text.text, type: types[file.slice(file.lastIndexOf('.') + 1)] ?? 'text/plain' }
    const wanted = files.pictures.find((one) => one.file === file)
    const body = wanted ? await picture(wanted.picture, wanted.width, wanted.making) : undefined
    if (wanted && body) return { body, type: typeOfWanted(wanted) }
    const led = files.linked.find((one) => one.file === file)
    const bytes = led && (await linked(led.linked))
    return bytes && { body: bytes, type: 'application/octet-stream' }
  }
  return async (route) => {
    const url = new URL(route.request().url())
    const found = url.origin === HOST ? await find(url) : undefined
    if (!found) return route.fulfill({ status: 404, body: '' })
    return route.fulfill({ body: typeof found.body === 'string' ? found.body : Buffer.from(found.body), contentType: found.type })
  }
}
