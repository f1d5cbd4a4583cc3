import type { Page } from '@playwright/test'
import { runs } from '#core/values/runs.fixture'
import { composed, expect, openSite, saved, test } from './application'

/** How often each of them writes. */
const TURNS = runs(3, 8)
const SITE = 'Hollin Ridge Observatory'
const order = (page: Page) => page.getByRole('complementary', { name: 'Running order' })
const inView = (page: Page, selector: string) => page.frameLocator('[data-view="1280"] iframe').locator(selector)

/** Gives a section another name, in the running order. */
async function rename(page: Page, row: RegExp, name: string): Promise<void> {
  const field = order(page).getByRole('textbox')
  // Two clicks on a row are one double click only if they follow each other closely, which a busy machine may not manage.
  await expect(async () => {
    await order(page).getByRole('button', { name: row }).first().dblclick()
    await expect(field).toBeVisible({ timeout: 2000 })
  }).toPass()
  await field.fill(name)
  await field.press('Enter')
}

/** Sets the words of a block by its entry in the running order and the tray. */
async function write(page: Page, section: RegExp, block: string, words: string): Promise<void> {
  await order(page).getByRole('button', { name: section }).first().click()
  await order(page).getByRole('button', { name: block, exact: false }).first().click()
  await page.getByRole('tab', { name: 'Words' }).click()
  await page.getByRole('textbox', { name: 'Words' }).fill(words)
}

test('three browsers that edit one page at once end with the same document, and see each other at work', async ({
  browser,
  page,
  app,
}) => {
  await openSite(page, app, SITE)
  const pages = [page]
  // Browsers of their own: they share neither storage nor channels, and none of them has the focus to itself.
  for (let i = 0; i < 2; i++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const other = await context.newPage()
    await other.goto(page.url())
    await composed(other)
    pages.push(other)
  }
  const [first, second, third] = pages as [Page, Page, Page]
  await expect(first.locator('[data-others]')).toContainText('2 others')

  const turns = [...'abcdefgh'].slice(0, TURNS)
  await Promise.all([
    (async () => {
      for (const turn of turns) await write(first, /^02 /, 'Heading', `First ${turn}`)
    })(),
    (async () => {
      for (const turn of turns) await write(second, /^02 /, 'Heading', `Second ${turn}`)
    })(),
    (async () => {
      for (const turn of turns) await rename(third, /^03 /, `Third ${turn}`)
    })(),
  ])
  for (const one of pages) await saved(one)

  const document = async () => (await page.request.get(page.url().replace(/pages.*/, 'as/site-json'))).text()
  const heading = await inView(first, 'h1').textContent()
  // Where one's words arrive between the other's selecting and typing, both stand there: nothing that was typed last is lost.
  expect(heading).toMatch(new RegExp(`^(First|Second) ${turns.at(-1)}((First|Second) ${turns.at(-1)})?$`))
  for (const one of pages) {
    await expect(inView(one, 'h1')).toHaveText(heading!)
    await expect(order(one).getByText(`Third ${turns.at(-1)}`)).toBeVisible()
  }
  expect(await document()).toContain(heading!)

  // Where the others are is marked, and the mark goes with them.
  await order(second).getByRole('button', { name: /^04 / }).first().click()
  await expect(
    order(first).getByRole('button', { name: /^04 / }).first().getByRole('img', { name: 'Somebody else works here' }),
  ).toBeVisible()
  await second.context().close()
  await expect(first.locator('[data-others]')).toContainText('1 other')
  await third.context().close()
  await expect(first.locator('[data-others]')).toHaveCount(0)
})

test('somebody whose connection ends is gone at once, though he could not say so', async ({ page, app }) => {
  await openSite(page, app, SITE)
  const [, company, at] = /^(.*\/sites\/[\w-]+)\/pages\/([\w-]+)/.exec(page.url())!
  const ends = new AbortController()
  await fetch(`${company}/company?tab=elsewhere1`, { signal: ends.signal })
  await page.request.post(`${company}/company`, { data: { tab: 'elsewhere1', place: { page: at, block: null } } })
  await expect(page.locator('[data-others]')).toContainText('1 other')
  ends.abort()
  await expect(page.locator('[data-others]')).toHaveCount(0)
})
