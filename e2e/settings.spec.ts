import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { removeFolder } from '#server/remove-folder'
import type { Page } from '@playwright/test'
import { composed, expect, freePort, openSite, saved, temporaryFolder, test } from './application'
import { middle, onScreen, press, reveal } from './views'

const SITE = 'Hollin Ridge Observatory'
const tray = (page: Page) => page.getByRole('region', { name: 'Tray' })
const view = (page: Page, width: number) => page.frameLocator(`[data-view="${width}"] iframe`)

/** A computed style in the view of a width. */
const styleIn = (page: Page, width: number, selector: string, property: string) =>
  view(page, width)
    .locator(selector)
    .first()
    .evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property)

/** Drops a file on a point of the screen, as from the desktop. */
async function dropFile(page: Page, at: { x: number; y: number }, file: { name: string; type: string; bytes: Buffer }) {
  await page.evaluate(
    ({ x, y, name, type, base64 }) => {
      const data = new DataTransfer()
      data.items.add(new File([Uint8Array.from(atob(base64), (one) => one.charCodeAt(0))], name, { type }))
      const target = document.elementFromPoint(x, y)!
      for (const kind of ['dragover', 'drop'])
        target.dispatchEvent(new DragEvent(kind, { bubbles: true, cancelable: true, clientX: x, clientY: y, dataTransfer: data }))
    },
    { ...at, name: file.name, type: file.type, base64: file.bytes.toString('base64') },
  )
}

test('pictures are dropped on a view: one is changed, one is added, a drawing is cleaned, what is none is refused', async ({
  page,
  app,
}) => {
  await openSite(page, app, SITE)
  const index = JSON.parse(readFileSync('demo/pictures.json', 'utf8')) as Record<string, { hash: string }>
  const stove = { name: 'stove.jpg', type: 'image/jpeg', bytes: readFileSync(`demo/pictures/${index['the-stove']!.hash}.jpg`) }
  await reveal(page, 1280, '#what-you-see img')
  await dropFile(page, middle(await onScreen(page, 1280, '#what-you-see img')), stove)
  await expect(view(page, 375).locator('#what-you-see img').first()).toHaveAttribute('src', new RegExp(index['the-stove']!.hash))

  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 40" onload="alert(1)"><script>alert(2)</script><rect width="80" height="40" fill="#3B3A9E"/></svg>'
  await reveal(page, 1280, '#reasons')
  const reason = await onScreen(page, 1280, '#reasons .reasons-text')
  const before = await view(page, 1280).locator('#reasons img').count()
  await dropFile(
    page,
    { x: reason.left + 10, y: reason.top + reason.height - 2 },
    { name: 'mark.svg', type: 'image/svg+xml', bytes: Buffer.from(svg) },
  )
  const drawing = view(page, 1280).locator('#reasons img')
  await expect(drawing).toHaveCount(before + 1)
  const stored = await (await page.request.get(app.url + (await drawing.first().getAttribute('src'))!)).text()
  expect(stored).toContain('<rect')
  expect(stored).not.toMatch(/script|onload/)

  await dropFile(
    page,
    { x: reason.left + 10, y: reason.top + 4 },
    { name: 'notes.jpg', type: 'image/jpeg', bytes: Buffer.from('these are notes') },
  )
  await expect(page.getByText(/"notes\.jpg" is not a JPEG, PNG, WebP, AVIF or SVG picture/)).toBeVisible()
  await expect(drawing).toHaveCount(before + 1)
  await saved(page)
})

test('the focal point and the scrim are set by hand and by keys', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await press(page, 1280, '#what-you-see img')
  const focal = page.getByRole('button', { name: /^Focal point, 50 % across and 50 % down/ })
  await focal.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowDown')
  await expect.poll(() => styleIn(page, 768, '#what-you-see img', 'object-position')).toBe('55% 55%')
  const box = (await page.getByRole('button', { name: /^Focal point/ }).boundingBox())!
  await page.mouse.click(box.x + box.width * 0.2, box.y + box.height * 0.9)
  await expect.poll(() => styleIn(page, 375, '#what-you-see img', 'object-position')).toMatch(/^(19|20|21)% (89|90|91)%$/)
  await page.getByRole('button', { name: /^Scrim:/ }).click()
  await page.getByRole('button', { name: 'night', exact: true }).click()
  await page.keyboard.press('Escape')
  await expect(view(page, 1280).locator('#what-you-see div.what-you-see-picture > img')).toHaveCount(1)
  await expect(page.getByRole('textbox', { name: 'Scrim strength at its start' })).toHaveValue('50')
})

test('sizes are typed: fluid ones grow between two widths in every view, and a token is a token', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await press(page, 1280, 'h1')
  const size = page.getByRole('textbox', { name: 'Size', exact: true })
  await size.fill('30 at 375 to 60 at 1280')
  await size.press('Enter')
  for (const [width, px] of [
    [375, 30],
    [768, 43.03],
    [1280, 60],
  ] as const) {
    await expect.poll(async () => Math.abs(Number.parseFloat(await styleIn(page, width, 'h1', 'font-size')) - px)).toBeLessThan(0.1)
  }
  await expect(page.getByText(/Grows 3\.31 px per 100 px/)).toBeVisible()
  await size.fill('enormous')
  await size.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Size takes a figure with its unit')
  await size.press('Escape')
  await expect(size).toHaveValue('30 at 375 to 60 at 1280')
  await page.getByRole('textbox', { name: 'Space after' }).fill('space-8')
  await page.getByRole('textbox', { name: 'Space after' }).press('Enter')
  await expect.poll(() => styleIn(page, 1280, 'h1', 'margin-block-end')).toBe('64px')
})

test('a setting without effect says why, and its repair makes it work', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await page.keyboard.press('1')
  await composed(page)
  await press(page, 1280, '.plan-lead > p')
  await page.getByRole('navigation', { name: 'Path to the block' }).getByRole('button').first().click()
  await page.getByRole('textbox', { name: 'Gap down' }).fill('8')
  await page.getByRole('textbox', { name: 'Gap down' }).press('Enter')
  await page.getByRole('combobox', { name: 'Layout' }).click()
  await page.getByRole('option', { name: 'Row' }).click()
  await page.getByRole('button', { name: 'Wraps' }).click()
  await page.getByRole('combobox', { name: 'Layout' }).click()
  await page.getByRole('option', { name: 'Column' }).click()
  await expect(page.getByText('Only a row wraps; this is a column.')).toBeVisible()
  await page.getByRole('button', { name: 'Lay it out as a row' }).click()
  await expect(page.getByText('Only a row wraps; this is a column.')).toHaveCount(0)
  await expect.poll(() => styleIn(page, 1280, '.plan-lead', 'flex-wrap')).toBe('wrap')
})

test('hover is set apart from rest, and shows on the page as a visitor gets it', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await press(page, 1280, '#opening .button-primary')
  await page.getByRole('tab', { name: 'States' }).click()
  await page.getByRole('button', { name: 'Hover', exact: true }).click()
  await page.getByRole('textbox', { name: 'Lift' }).fill('6')
  await page.getByRole('textbox', { name: 'Lift' }).press('Enter')
  await page.getByRole('button', { name: /^Fill:/ }).click()
  await page.getByRole('button', { name: 'link', exact: true }).click()
  await page.keyboard.press('Escape')
  await page
    .getByRole('status')
    .filter({ hasText: /Saved \d/ })
    .waitFor()
  // Room for the page at its full size.
  await page.setViewportSize({ width: 1400, height: 900 })
  await page.getByRole('link', { name: 'Play page' }).click()
  const frame = page.frameLocator('iframe[title^="Autumn nights at"]')
  const button = frame.locator('#opening .button-primary')
  const style = (name: string) => button.evaluate((element, property) => getComputedStyle(element).getPropertyValue(property), name)
  await expect.poll(() => style('background-color')).toBe('rgb(255, 211, 107)')
  // The page may still find its place, so that what the pointer was put on has left it.
  await expect(async () => {
    await button.hover()
    expect(await style('background-color')).toBe('rgb(59, 58, 158)')
  }).toPass()
  await expect.poll(() => style('translate')).toBe('0px -6px')

  // A link of the page leads to its section, inside the sandbox.
  await frame.getByRole('link', { name: 'Log book' }).click()
  await expect.poll(() => frame.locator('html').evaluate((html) => html.scrollTop)).toBeGreaterThan(1000)
})

test('a page is added, given an address and a title, linked to, and deleted', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await page.getByRole('button', { name: 'Add a page' }).click()
  await page.waitForURL(/pages\/(?!autumn)/)
  await expect(tray(page).getByRole('heading', { name: 'Page 5' })).toBeVisible()
  const address = page.getByLabel('Address')
  await address.fill('Spring Sky Chart')
  await address.press('Enter')
  await expect(page.getByText('spring-sky-chart.html')).toBeVisible()
  await page.getByLabel('Name of the page').fill('Spring sky chart')
  await page.getByLabel('Name of the page').press('Enter')
  await page.getByRole('button', { name: 'Spring sky chart' }).click()
  await page.getByRole('menuitem', { name: 'Autumn nights' }).click()
  await composed(page)

  await press(page, 1280, '#opening .button-primary')
  await page.getByRole('tab', { name: 'States' }).click()
  await page.getByRole('combobox', { name: 'Leads to' }).click()
  await page.getByRole('option', { name: /^Spring sky chart/ }).click()
  await page
    .getByRole('status')
    .filter({ hasText: /Saved \d/ })
    .waitFor()
  const id = /sites\/([\w-]+)/.exec(page.url())![1]!
  const html = async () => (await page.request.get(`${app.url}/visit/${id}/index.html`)).text()
  await expect.poll(html).toContain('href="spring-sky-chart.html"')

  await page.getByRole('button', { name: 'Autumn nights' }).click()
  await page.getByRole('menuitem', { name: 'Spring sky chart' }).click()
  await page.getByRole('button', { name: 'Delete this page' }).click()
  await page.waitForURL(/pages\/autumn/)
  await press(page, 1280, '#opening .button-primary')
  await expect(page.getByText(/leads to a page or section that was deleted/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo delete page' }).click()
  await expect(page.getByText(/leads to a page or section that was deleted/)).toHaveCount(0)
})

test('the demo command starts where it is told to, with its own data', async ({ request }) => {
  const [port, data] = [await freePort(), temporaryFolder()]
  const child = spawn(process.execPath, ['bin/demo.mjs'], {
    env: { ...process.env, PORT: String(port), YARROWFINCH_DATA: data },
    stdio: ['ignore', 'pipe', 'inherit'],
    detached: true,
  })
  const printed = new Promise<string>((done) => {
    let text = ''
    child.stdout.on('data', (chunk: Buffer) => {
      text += chunk.toString()
      if (text.includes('Listening')) done(text)
    })
  })
  expect(await printed).toContain(`Yarrowfinch is at http://127.0.0.1:${port}`)
  expect(await (await request.get(`http://127.0.0.1:${port}`)).text()).toContain('Tallow &amp; Twine')
  process.kill(-child.pid!, 'SIGTERM')
  await new Promise((done) => child.on('exit', done))
  removeFolder(data)
})
