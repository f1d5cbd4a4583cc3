import { chromium, type Browser } from '@playwright/test'
import { join } from 'node:path'
import { removeFolder } from '#server/remove-folder'
import type { Site } from '#core/site/schema'
import { openStore } from '#server/database'
import { createSite, getSite, siteIds } from '#server/sites'
import { applyEdit } from '#core/edits/index'
import { walkPage } from '#core/site/tree'
import { composed, finish, start, temporaryFolder } from '../e2e/application'
import { middle, onScreen } from '../e2e/views'
import { CHROMIUM } from '../playwright.config'
import { middleOf, print } from './measure'
import type { RowName } from './rows'
import { largeSite } from './pages'

// A site of 12 pages and 3,500 blocks against the demo site: what one edit, saving, opening and a key press cost.
type Both = { demo: number[]; large: number[] }
const NAMES = ['demo', 'large'] as const
const both = (): Both => ({ demo: [], large: [] })

function report(row: RowName, times: Both, unit = 'ms') {
  const [large, demo] = [middleOf(times.large), middleOf(times.demo)]
  print(row, large / demo, `${large.toFixed(2)} and ${demo.toFixed(2)} ${unit}`)
}

const data = temporaryFolder()
await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
const store = openStore(join(data, 'yarrowfinch.db'))
const demo = siteIds(store)
  .map((id) => getSite(store, id))
  .find((one) => one.site.name === 'Hollin Ridge Observatory')!
const large = { id: createSite(store, largeSite()), site: largeSite() }
store.close()
const sites = { demo, large }

function edits(): void {
  const times = both()
  const state: Record<string, Site> = { demo: demo.site, large: large.site }
  for (let i = 0; i < 900; i++) {
    for (const name of NAMES) {
      const now = state[name]!
      const texts = [...walkPage(now.pages[0]!)].filter((block) => block.kind === 'text')
      const block = texts[i % texts.length]!.id
      const from = performance.now()
      state[name] = applyEdit(now, { kind: 'style', block, scope: 'base', values: { opacity: (i % 90) / 100 } }).site
      if (i >= 300) times[name].push((performance.now() - from) * 1000)
    }
  }
  report('large-edit', times, 'µs')
}

async function saving(url: string): Promise<void> {
  const times = both()
  const revisions = { demo: 0, large: 0 }
  for (let i = 0; i < 300; i++) {
    for (const name of NAMES) {
      const { id, site } = sites[name]
      const edit = { kind: 'field', block: site.pages[0]!.sections[0]!.id, field: 'name', value: `Name ${i}` }
      const body = JSON.stringify({ base: revisions[name], edits: [{ key: `k${i}`, edit }] })
      const from = performance.now()
      const answer = (await (
        await fetch(`${url}/sites/${id}/edits`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body })
      ).json()) as { revision: number }
      if (i >= 50) times[name].push(performance.now() - from)
      revisions[name] = answer.revision
    }
  }
  report('large-save', times)
}

const composeUrl = (url: string, name: (typeof NAMES)[number]) =>
  `${url}/sites/${sites[name].id}/pages/${sites[name].site.pages[0]!.id}/compose`

async function opening(browser: Browser, url: string): Promise<void> {
  const times = both()
  for (let i = 0; i < 9; i++) {
    for (const name of NAMES) {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
      // From the request to the first frame in which every view shows its page.
      await page.addInitScript(() => {
        const look = () => {
          const frames = [...document.querySelectorAll<HTMLIFrameElement>('[data-view] iframe')]
          if (frames.length > 0 && frames.every((one) => one.contentDocument?.querySelector('h1'))) {
            Object.assign(window, { opened: performance.now() })
          } else requestAnimationFrame(look)
        }
        requestAnimationFrame(look)
      })
      await page.goto(composeUrl(url, name))
      const opened = await page.waitForFunction(() => (window as unknown as { opened?: number }).opened)
      if (i > 1) times[name].push((await opened.jsonValue())!)
      await page.close()
    }
  }
  report('large-open', times)
}

async function keyPress(browser: Browser, url: string): Promise<void> {
  const times = both()
  for (const name of NAMES) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(composeUrl(url, name))
    await composed(page)
    const heading = middle(await onScreen(page, 1280, 'h1'))
    await page.mouse.click(heading.x, heading.y)
    await page.getByRole('textbox', { name: 'Weight' }).focus()
    await page.evaluate(() => {
      const list: number[] = []
      Object.assign(window, { list })
      window.addEventListener(
        'keydown',
        () => {
          const from = performance.now()
          requestAnimationFrame(() => {
            // A message is handled after the frame has been painted.
            const channel = new MessageChannel()
            channel.port1.onmessage = () => list.push(performance.now() - from)
            channel.port2.postMessage(null)
          })
        },
        { capture: true },
      )
    })
    for (let i = 0; i < 50; i++) {
      await page.keyboard.press(i % 2 === 0 ? 'ArrowUp' : 'ArrowDown')
      await page.waitForFunction((count) => (window as unknown as { list: number[] }).list.length > count, i)
    }
    times[name] = (await page.evaluate(() => (window as unknown as { list: number[] }).list)).slice(10)
    await page.close()
  }
  report('large-key', times)
}

edits()
const app = await start(data)
const browser = await chromium.launch(CHROMIUM)
try {
  await saving(app.url)
  await opening(browser, app.url)
  await keyPress(browser, app.url)
} finally {
  await browser.close()
  await app.stop('SIGKILL')
  removeFolder(data)
}
