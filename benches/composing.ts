import { forget, hear, heardSoFar, until } from './hear'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { openStore } from '#server/database'
import { removeFolder } from '#server/remove-folder'
import { createSite } from '#server/sites'
import { composed, start, temporaryFolder } from '../e2e/application'
import { middle, onScreen, reveal } from '../e2e/views'
import { CHROMIUM } from '../playwright.config'
import { print } from './measure'
import { siteOf } from './pages'

// A page of 800 blocks in four views: an edge that is dragged against the same box moved by hand, and one value that is
// set for 200 blocks against one block's.

const VIEWS = [1280, 1024, 768, 375]
const MOVES = 60

const data = temporaryFolder()
const store = openStore(join(data, 'yarrowfinch.db'))
const site = { ...siteOf(800), views: VIEWS }
const id = createSite(store, site)
store.close()

const percentile = (list: readonly number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))]!

async function open(): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 1440, height: 900 } })
  await page.goto(`${app.url}/sites/${id}/pages/${site.pages[0]!.id}/compose`)
  await composed(page)
  return page
}

async function drag(): Promise<void> {
  const page = await open()
  await reveal(page, 1280, 'h1')
  const heading = middle(await onScreen(page, 1280, 'h1'))
  await page.mouse.click(heading.x, heading.y)
  const edge = page.locator('[data-view="1280"] [data-edge="right"]')
  const box = (await edge.boundingBox())!
  const y = box.y + box.height / 2
  await hear(page, 'pointermove')
  const moves = async (press: boolean) => {
    await page.mouse.move(box.x + 4, y)
    if (press) await page.mouse.down()
    // What the press itself brings about is painted first.
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))
    await forget(page)
    for (let i = 0; i < MOVES; i++) {
      // To and fro by a column and more, so that each move changes the span.
      await page.mouse.move(box.x + 4 - (i % 2 === 0 ? 45 : 0), y)
      await until(page, i + 1)
    }
    const times = (await heardSoFar(page)).slice(10)
    if (press) await page.mouse.up()
    return times
  }
  const ours = await moves(true)
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await page.evaluate(() => {
    const all = [...document.querySelectorAll<HTMLIFrameElement>('[data-view] iframe')].map((one) =>
      one.contentDocument!.querySelector('h1')!,
    )
    let span = 8
    const byHand = () => {
      span = span === 8 ? 7 : 8
      for (const one of all) one.style.gridColumn = `span ${span}`
    }
    Object.assign(window, { byHand })
  })
  const byHand = await moves(false)
  const [a, b] = [percentile(ours, 0.95), percentile(byHand, 0.95)]
  print(
    'drag-edge',
    a / b,
    `${a.toFixed(1)} and ${b.toFixed(1)} ms; medians ${percentile(ours, 0.5).toFixed(1)} and ${percentile(byHand, 0.5).toFixed(1)} ms`,
  )
  await page.close()
}

async function many(): Promise<void> {
  const times: { one: number[]; all: number[] } = { one: [], all: [] }
  const picked = { one: 1, all: 0 }
  for (const name of ['one', 'all'] as const) {
    const page = await open()
    await reveal(page, 1280, 'h1 ~ p')
    const text = middle(await onScreen(page, 1280, 'h1 ~ p:not(.eyebrow)'))
    await page.mouse.click(text.x, text.y)
    const tray = page.getByRole('region', { name: 'Tray' })
    if (name === 'all') {
      await page.keyboard.press('Shift+K')
      picked.all = Number.parseInt((await tray.getByRole('heading', { name: /^\d+ blocks$/ }).innerText()).split(' ')[0]!, 10)
    }
    await tray.getByRole('textbox', { name: 'Weight' }).focus()
    await hear(page, 'keydown')
    for (let i = 0; i < 40; i++) {
      await page.keyboard.press(i % 2 === 0 ? 'ArrowUp' : 'ArrowDown')
      await until(page, i + 1)
    }
    times[name] = (await heardSoFar(page)).slice(10)
    await page.close()
  }
  const [all, one] = [percentile(times.all, 0.5), percentile(times.one, 0.5)]
  print('many-blocks', all / one, `${all.toFixed(1)} and ${one.toFixed(1)} ms`)
}

const app = await start(data)
const browser = await chromium.launch(CHROMIUM)
try {
  await drag()
  await many()
} finally {
  await browser.close()
  await app.stop('SIGKILL')
  removeFolder(data)
}
