import { unzipSync } from 'fflate'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { dirname, extname, join } from 'node:path'
import { composed, expect, saved, temporaryFolder, test } from './application'
import { type Box, boxesInView, middle, onScreen } from './views'
import type { Page } from '@playwright/test'

const TYPES: Record<string, string> = {
  '.html': 'text/html',
  '.css': 'text/css',
  '.webp': 'image/webp',
  '.woff2': 'font/woff2',
  '.svg': 'image/svg+xml',
}

/** Serves a folder on a free port of this machine. */
async function serve(folder: string): Promise<{ url: string; close: () => void }> {
  const server = createServer((request, response) => {
    try {
      const name = new URL(request.url ?? '/', 'http://localhost').pathname
      const bytes = readFileSync(join(folder, name === '/' ? 'index.html' : name))
      response.writeHead(200, { 'Content-Type': TYPES[extname(name)] ?? 'text/html' }).end(bytes)
    } catch {
      response.writeHead(404).end()
    }
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const { port } = server.address() as { port: number }
  return { url: `http://127.0.0.1:${port}`, close: () => void server.close() }
}

async function addSection(page: Page, job: string) {
  await page.getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: job, exact: true }).click()
}

async function addBlock(page: Page, kind: string) {
  await page.getByRole('button', { name: 'Add a block' }).click()
  await page.getByRole('menuitem', { name: kind, exact: true }).click()
}

/** Types words into the block that was just added, in place. */
async function typeWords(page: Page, words: string) {
  await expect(page.frameLocator('[data-view="1280"] iframe').locator('[contenteditable=true]')).toBeFocused()
  await page.keyboard.type(words)
  await page.keyboard.press('Escape')
  await expect(page.frameLocator('[data-view="1280"] iframe').locator('[contenteditable=true]')).toHaveCount(0)
}

function near(a: Box[], b: Box[]): void {
  expect(a.length).toBe(b.length)
  a.forEach((box, i) => {
    for (const side of ['left', 'top', 'width', 'height'] as const) {
      expect(Math.abs(box[side] - b[i]![side]), `${side} of box ${i}: ${box[side]} and ${b[i]![side]}`).toBeLessThanOrEqual(0.5)
    }
  })
}

test('the whole job from nothing: a site, a section, words, a picture, columns, an export that looks the same', async ({
  page,
  app,
  context,
}) => {
  await page.goto(app.url)
  await page.getByRole('button', { name: 'New site' }).click()
  await page.getByLabel('Name').fill('Hollin Ridge, first try')
  await page.getByRole('button', { name: 'Create the site' }).click()
  // A new site opens at the brief, where the path begins.
  await page.waitForURL(/brief$/)
  await page.getByRole('link', { name: /^Compose/ }).click()
  await composed(page)

  await addSection(page, 'Opening')
  await addBlock(page, 'Heading')
  await typeWords(page, 'Bring a coat. We will bring the galaxies.')
  await addBlock(page, 'Text')
  await typeWords(page, 'Two hours under one of the darkest skies in the county.')
  await addBlock(page, 'Button')
  await typeWords(page, 'Book an autumn night')
  await addBlock(page, 'Picture')
  await page
    .getByRole('tab', { name: 'Picture' })
    .or(page.getByRole('region', { name: /^Picture of/ }))
    .first()
    .waitFor()
  const index = JSON.parse(readFileSync('demo/pictures.json', 'utf8')) as Record<string, { hash: string }>
  await page.getByLabel('Upload a picture').setInputFiles({
    name: 'moon.jpg',
    mimeType: 'image/jpeg',
    buffer: readFileSync(`demo/pictures/${index.moon!.hash}.jpg`),
  })
  const picture = page.frameLocator('[data-view="1280"] iframe').locator('img')
  await expect(picture).toHaveAttribute('src', /pictures/)

  // The heading is placed on columns by dragging its right edge.
  const heading = 'h2'
  await page.mouse.click(...point(middle(await onScreen(page, 1280, heading))))
  const full = await onScreen(page, 1280, heading)
  await page.mouse.move(full.left + full.width, full.top + full.height / 2)
  await page.mouse.down()
  await page.mouse.move(full.left + full.width * 0.66, full.top + full.height / 2, { steps: 8 })
  await expect(page.getByText(/^8 of 12 columns, 739 px$/)).toBeVisible()
  await page.mouse.up()
  await expect(page.getByText('Fills 8 of 12 columns, 739 px at 1280. Below 1024 it takes the full row.')).toBeVisible()

  // Below the middle breakpoint it takes six.
  await page.getByRole('button', { name: /Below 1024/ }).click()
  const spans = page.getByRole('textbox', { name: 'Columns spanned' })
  await spans.fill('6')
  await spans.press('Enter')
  const at768 = async () => (await boxesInView(page, 768, heading))[0]!.width
  await expect.poll(async () => Math.round(await at768())).toBe(522)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect.poll(async () => Math.round(await at768())).toBe(704)
  await page.getByRole('button', { name: /^Redo/ }).click()
  await expect.poll(async () => Math.round(await at768())).toBe(522)

  // The picture goes beside the words: it is dragged to the right of them, onto column 9.
  await page.getByRole('button', { name: 'All widths' }).click()
  await saved(page)
  await page.reload()
  await composed(page)
  await expect.poll(async () => Math.round(await at768())).toBe(522)

  // All that is added, at more widths, so that the export can be compared with the views there.
  await page.getByRole('button', { name: 'Add a view' }).click()
  await expect(page.locator('[data-view]')).toHaveCount(4)
  const marker = page.getByRole('button', { name: /View at 1600 px/ })
  await expect(marker).toBeVisible()
  await saved(page)

  await page.getByRole('link', { name: /Deliver/ }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export the site' }).click()
  const zip = unzipSync(new Uint8Array(readFileSync(await (await download).path())))
  const folder = temporaryFolder()
  for (const [name, bytes] of Object.entries(zip)) {
    mkdirSync(dirname(join(folder, name)), { recursive: true })
    writeFileSync(join(folder, name), bytes)
  }
  expect(Object.keys(zip).sort()).toEqual(expect.arrayContaining(['index.html', 'style.css']))
  await page.getByRole('link', { name: /Compose/ }).click()
  await composed(page)

  const site = await serve(folder)
  const visitor = await context.newPage()
  const blocks = '.band, h2, p, img, main a, main button'
  for (const width of [375, 768, 1280, 1600]) {
    await visitor.setViewportSize({ width, height: width >= 1024 ? 800 : width >= 640 ? 1024 : 812 })
    await visitor.goto(site.url)
    await visitor.evaluate(() => document.fonts.ready)
    const exported = await visitor.evaluate(
      (wanted) =>
        [...document.querySelectorAll(wanted)].map((element) => {
          const { left, top, width: w, height } = element.getBoundingClientRect()
          return { left, top: top + scrollY, width: w, height }
        }),
      blocks,
    )
    near(exported, await boxesInView(page, width, blocks))
  }
  expect(await overflows(visitor, 320, 1920)).toEqual([])
  site.close()
})

/** The widths, of every px from one to another, at which the page shown is wider than its window. */
function overflows(page: Page, from: number, to: number): Promise<number[]> {
  return page.evaluate(
    async ([least, most]) => {
      const frame = document.createElement('iframe')
      frame.src = location.href
      frame.style.cssText = 'position:fixed;height:800px;border:0'
      document.body.append(frame)
      await new Promise((done) => frame.addEventListener('load', done, { once: true }))
      const found: number[] = []
      for (let width = least!; width <= most!; width++) {
        frame.style.width = `${width}px`
        if (frame.contentDocument!.documentElement.scrollWidth > width) found.push(width)
      }
      return found
    },
    [from, to],
  )
}

const point = ({ x, y }: { x: number; y: number }): [number, number] => [x, y]
