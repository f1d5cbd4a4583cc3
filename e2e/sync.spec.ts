import { removeFolder } from '#server/remove-folder'
import type { Page } from '@playwright/test'
import { type Application, composed, expect, layDemo, openSite, saved, start, temporaryFolder, test } from './application'

const SITE = 'Hollin Ridge Observatory'

/** Sets the words of a block by its entry in the running order and the tray. */
async function write(page: Page, section: RegExp, block: string, words: string) {
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: section }).first().click()
  await order.getByRole('button', { name: block, exact: false }).first().click()
  await page.getByRole('tab', { name: 'Words' }).click()
  await page.getByRole('textbox', { name: 'Words' }).fill(words)
}
const inView = (page: Page, selector: string) => page.frameLocator('[data-view="1280"] iframe').locator(selector)

test('two tabs on one site see each other’s edits, and what cannot be merged is named', async ({ page, context, app }) => {
  await openSite(page, app, SITE)
  const other = await context.newPage()
  await other.goto(page.url())
  await composed(other)
  await write(page, /^02 Opening/, 'Heading', 'From the first tab')
  await expect(inView(other, 'h1')).toHaveText('From the first tab')

  // Offline, the second tab edits a block that the first one deletes.
  await context.route('**/edits', (route) => (route.request().frame().page() === other ? route.abort() : route.continue()))
  await write(other, /^02 Opening/, 'Eyebrow', 'Typed without a connection')
  await expect(other.getByRole('status').filter({ hasText: /unsent/ })).toBeVisible()
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: 'Eyebrow' }).first().click()
  await page.keyboard.press('Delete')
  await saved(page)
  await context.unroute('**/edits')
  await expect(other.getByText(/Not kept: words\. The block .* is no longer on any page/)).toBeVisible({
    timeout: 60_000,
  })
  await saved(other)
  await expect(inView(other, '#opening .eyebrow')).toHaveCount(0)
})

test('edits that were not sent survive a reload and are sent', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await page.route('**/edits', (route) => route.abort())
  await write(page, /^03 Reasons/, 'Heading', 'Kept over a reload')
  await expect(page.getByRole('status').filter({ hasText: /unsent/ })).toBeVisible()
  await page.unroute('**/edits')
  await page.reload()
  await composed(page)
  await expect(inView(page, '#reasons > h2')).toHaveText('Kept over a reload')
  await expect
    .poll(async () => (await page.request.get(page.url().replace(/pages.*/, 'as/site-json'))).text())
    .toContain('Kept over a reload')
})

test('a server killed during a stream of edits loses no acknowledged one', async ({ request }) => {
  const data = temporaryFolder()
  await layDemo(data)
  let app: Application = await start(data)
  const home = await (await request.get(app.url)).text()
  const id = /sites\/([\w-]{10})/.exec(home)![1]!
  const document = (await (await request.get(`${app.url}/sites/${id}/as/site-json`)).json()) as {
    pages: { sections: { id: string }[] }[]
  }
  const section = document.pages[0]!.sections[1]!.id
  const acknowledged = new Set<string>()
  let revision = 0

  for (let round = 0; round < 3; round++) {
    const killAt = acknowledged.size + 15 + round * 7
    for (let n = 0; ; n++) {
      const key = `r${round}n${n}`
      const edit = { kind: 'field', block: section, field: 'name', value: key }
      try {
        const pending = fetch(`${app.url}/sites/${id}/edits`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ base: revision, edits: [{ key, edit }] }),
        })
        if (acknowledged.size === killAt) void app.stop('SIGKILL')
        const answer = (await (await pending).json()) as { status: string; revision: number }
        if (answer.status === 'saved') acknowledged.add(key)
        revision = answer.revision
      } catch {
        break
      }
    }
    app = await start(data)
    const log = (await (await request.get(`${app.url}/sites/${id}/edits?since=0`)).json()) as {
      revision: number
      missed: { key: string }[]
    }
    const kept = new Set(log.missed.map((one) => one.key))
    expect([...acknowledged].filter((key) => !kept.has(key))).toEqual([])
    expect(log.missed).toHaveLength(log.revision)
    revision = log.revision
  }
  expect(acknowledged.size).toBeGreaterThan(40)
  await app.stop('SIGKILL')
  removeFolder(data)
})
