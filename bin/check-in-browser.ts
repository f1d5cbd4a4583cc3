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
  sweepAll: (site: unknown) => Promise<WidthFinding[][]>
  wordsOfAll: (site: unknown) => Promise<WordsOver[][]>
}

/** An address that is asked for nowhere else: all of it is answered here. */
const HOST = 'http://check.yarrowfinch.test'

/** Runs the pages of a site through all widths, and looks at their access. @returns undefined where there is no Chromium */
export async function checkInBrowser(site: Site, sources: Sources): Promise<Checked[] | undefined> {
  if (!existsSync(CHROMIUM.executablePath)) return undefined
  const browser = await chromium.launch(CHROMIUM)
  try {
    const context = await browser.newContext()
    await context.route('**/*', await answers(site, sources))
    const tab = await context.newPage()
    await tab.goto(`${HOST}/`)
    await tab.addScriptTag({ url: `${HOST}/live/sweeps.js`, type: 'module' })
    await tab.waitForFunction('globalThis.wordsOfAll')
    const widths = await tab.evaluate((given) => (globalThis as unknown as Sweeps).sweepAll(given), site as unknown)
    const over = await tab.evaluate((given) => (globalThis as unknown as Sweeps).wordsOfAll(given), site as unknown)
    const found = site.pages.flatMap((page, n): Checked[] => [
      ...widths[n]!.map((one) => ({ ...one, page: page.id })),
      ...overFindings(site, page, over[n]!),
    ])
    const script = await accessScript()
    for (const page of site.pages) found.push(...(await accessOn(tab, site, page, script)))
    return found
  } finally {
    await browser.close()
  }
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

/** The sweeps as one module for the browser: of all pages through all widths, and of their words over pictures. */
const SWEEPS = `import { createSweeper } from './app/live/sweeper'
  import { sweepWords } from './app/live/sweep-words'
  const running = { signal: new AbortController().signal, onProgress: () => undefined }
  globalThis.sweepAll = async (site) => {
    const sweeper = createSweeper()
    const found = []
    for (const page of site.pages) found.push((await sweeper.run(site, page, running)).findings)
    return found
  }
  globalThis.wordsOfAll = async (site) => {
    const found = []
    for (const page of site.pages) found.push(await sweepWords(site, page, running))
    return found
  }`

/** What answers a browser that looks at a site: its pages, pictures and fonts, and nothing else. */
async function answers(site: Site, { picture, font, linked }: Sources): Promise<(route: Route) => Promise<void>> {
  const files = webFiles(site, 'minified', (form) => `forms/${form.id}`, {}, 'checked')
  const css = fontsCss()
  const byHash = new Map(site.pictures.map((one) => [one.hash, one]))
  const types: Record<string, string> = { html: 'text/html; charset=utf-8', css: 'text/css', js: 'text/javascript' }
  const find = async ({ pathname, searchParams }: URL): Promise<{ body: string | Uint8Array; type: string } | undefined> => {
    if (pathname === '/') return { body: '<!doctype html><title>Check</title>', type: types.html! }
    if (pathname === '/live/sweeps.js') return { body: await bundled(SWEEPS, 'esm'), type: types.js! }
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
