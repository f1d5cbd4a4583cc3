import type { Page } from '@playwright/test'
import { type Application, composed, expect, openSite, saved, test } from './application'
import { seriousOn } from './axe'
import { press } from './views'

const SITE = 'Hollin Ridge Observatory'
const view = (page: Page, width: number) => page.frameLocator(`[data-view="${width}"] iframe`)
const choose = async (page: Page, list: string, option: string | RegExp) => {
  await page.getByRole('combobox', { name: list, exact: true }).click()
  await page.getByRole('option', { name: option }).click()
}
/** Brings a column of the tray to the front, where it stands among the tabs. */
async function column(page: Page, name: string) {
  const tray = page.getByRole('region', { name: 'Tray' })
  await expect(tray.getByRole('button', { name: /^Fold / }).first()).toBeVisible()
  const tab = tray.getByRole('tab', { name, exact: true })
  if (await tab.isVisible()) await tab.click()
}
/** Opens the page of the instruments in Compose. */
async function openInstruments(page: Page, app: Application) {
  await openSite(page, app, SITE)
  await composed(page)
  const [, site] = /sites\/([\w-]+)/.exec(page.url())!
  await page.getByRole('button', { name: /^Autumn nights/ }).click()
  await page.getByRole('menuitem', { name: 'The instruments' }).click()
  await composed(page)
  return site!
}

test('a group of buttons shows its panels one at a time, with a second for each, as tabs', async ({ page, app }) => {
  const site = await openInstruments(page, app)
  await press(page, 1280, '.one-shown [data-shown] p')
  const tray = page.getByRole('region', { name: 'Tray' })
  for (let n = 0; n < 2; n++) await page.keyboard.press('Escape')
  await column(page, 'Change')
  await expect(tray.getByText('1 s out, 1 s in')).toBeVisible()
  const bar = tray.getByRole('slider', { name: 'Offset, in' })
  await bar.focus()
  for (let n = 0; n < 2; n++) await page.keyboard.press('Shift+ArrowRight')
  await expect(tray.getByText('1 s out, 2 s in')).toBeVisible()
  await expect(tray.getByRole('textbox', { name: 'Begins after' })).toHaveValue('1')
  const box = (await tray.getByRole('slider', { name: 'Opacity, out' }).boundingBox())!
  await page.mouse.move(box.x + box.width - 2, box.y + 8)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width + 60, box.y + 8, { steps: 4 })
  await page.mouse.up()
  await expect(tray.getByRole('textbox', { name: 'Takes' })).not.toHaveValue('0.6')
  expect(await seriousOn(page)).toEqual([])
  for (let n = 0; n < 3; n++) await page.keyboard.press('Control+z')
  await expect(tray.getByText('1 s out, 1 s in')).toBeVisible()
  await saved(page)

  await page.goto(`${app.url}/visit/${site}/the-instruments.html`)
  const tabs = page.getByRole('tab')
  await expect(tabs).toHaveCount(3)
  const height = await page.evaluate(() => document.documentElement.scrollHeight)
  await tabs.nth(1).click()
  await expect(page.getByRole('tabpanel', { name: 'Moonlit' })).toHaveText(/The wide one rests/)
  const seen = (n: number) =>
    page
      .locator('.one-shown > *')
      .nth(n)
      .evaluate((one) => {
        const { opacity, translate, visibility } = getComputedStyle(one)
        return { opacity: Number(opacity), translate, visibility }
      })
  // On its way: the one has not gone yet, and the other is not there yet.
  expect((await seen(1)).opacity).toBeLessThan(1)
  await expect.poll(() => seen(1)).toEqual({ opacity: 1, translate: 'none', visibility: 'visible' })
  await expect.poll(() => seen(0)).toEqual({ opacity: 0, translate: '60px', visibility: 'hidden' })
  await page.keyboard.press('ArrowRight')
  await expect(tabs.nth(2)).toBeFocused()
  await expect(tabs.nth(2)).toHaveAttribute('aria-selected', 'true')
  await page.keyboard.press('Home')
  await expect(tabs.nth(0)).toBeFocused()
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBe(height)
  await expect.poll(() => seen(0)).toEqual({ opacity: 1, translate: 'none', visibility: 'visible' })
  await expect.poll(() => seen(1)).toMatchObject({ visibility: 'hidden' })
  expect(await seriousOn(page)).toEqual([])

  await page.emulateMedia({ reducedMotion: 'reduce' })
  await tabs.nth(2).click()
  expect(await seen(2)).toEqual({ opacity: 1, translate: 'none', visibility: 'visible' })
})

test('without a script all panels are seen, and their buttons lead to them; on paper nothing is hidden', async ({
  browser,
  page,
  app,
}) => {
  await openSite(page, app, SITE)
  const [, site] = /sites\/([\w-]+)/.exec(page.url())!
  const context = await browser.newContext({ javaScriptEnabled: false })
  const plain = await context.newPage()
  await plain.goto(`${app.url}/visit/${site}/the-instruments.html`)
  for (const words of ['Saturn through', 'The wide one rests', 'The stove is lit'])
    await expect(plain.getByText(words)).toBeVisible()
  await plain.getByRole('link', { name: 'Cloudy' }).click()
  expect(plain.url()).toContain('#panel-cloudy')
  await plain.goto(`${app.url}/visit/${site}/index.html`)
  await plain.locator('summary').nth(1).click()
  await expect(plain.getByText('Two pairs of socks')).toBeVisible()
  // One at a time, all by HTML.
  await expect(plain.getByText('you come again for nothing')).toBeHidden()
  await plain.emulateMedia({ media: 'print' })
  await expect(plain.getByText('you come again for nothing')).toBeVisible()
  await context.close()
})

test('a menu folds below its breakpoint, closes with Escape and keeps the focus; in Compose it opens for what is selected', async ({
  page,
  app,
}) => {
  await openSite(page, app, SITE)
  await composed(page)
  const [, site] = /sites\/([\w-]+)/.exec(page.url())!
  await expect(view(page, 1280).getByText('Why come').first()).toBeVisible()
  await expect(view(page, 375).getByText('Why come').first()).toBeHidden()
  await press(page, 1280, 'nav a')
  await expect(view(page, 375).getByText('Why come').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(view(page, 375).getByText('Why come').first()).toBeHidden()

  await page.setViewportSize({ width: 375, height: 740 })
  await page.goto(`${app.url}/visit/${site}/index.html`)
  const menuLinks = page.getByRole('navigation', { name: 'Main' }).getByRole('link')
  const menu = page.getByRole('button', { name: 'Menu' })
  await menu.click()
  await expect(menuLinks.first()).toBeVisible()
  expect(await seriousOn(page)).toEqual([])
  for (let n = 0; n < 9; n++) {
    await page.keyboard.press('Tab')
    expect(await page.evaluate(() => document.activeElement?.closest('.fold') !== null)).toBe(true)
  }
  await page.keyboard.press('Escape')
  await expect(menuLinks.first()).toBeHidden()
  await expect(menu).toBeFocused()
  await menu.click()
  await menuLinks.nth(1).click()
  await expect(menuLinks.first()).toBeHidden()
  await expect(page.getByRole('heading', { name: 'The plan, in three steps' })).toBeInViewport()
})

test('a group becomes a dialog that a button opens and another closes, and a question opens under its first words', async ({
  page,
  app,
}) => {
  await openSite(page, app, SITE)
  await composed(page)
  const [, site] = /sites\/([\w-]+)/.exec(page.url())!
  // The lead of the plan becomes a dialog.
  await press(page, 1280, '.plan-lead h2')
  await page.keyboard.press('Escape')
  const tray = page.getByRole('region', { name: 'Tray' })
  await column(page, 'Entry')
  await choose(page, 'When the group is seen', 'Mid-window, from a button')
  await expect(tray.getByText('No button opens it')).toBeVisible()
  await press(page, 1280, 'section a[class*="button"]')
  if (!(await tray.getByRole('combobox', { name: 'Leads to' }).isVisible())) await tray.getByRole('tab', { name: 'States' }).click()
  await choose(page, 'Leads to', 'Opens: Lead')
  await saved(page)
  await page.goto(`${app.url}/visit/${site}/index.html`)
  const heading = page.getByRole('heading', { name: 'The plan, in three steps' })
  await expect(heading).toBeHidden()
  await page.getByRole('button', { name: 'Book an autumn night' }).first().click()
  await expect(heading).toBeVisible()
  expect(await page.evaluate(() => document.querySelector('dialog')!.matches(':modal'))).toBe(true)
  expect(await seriousOn(page)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(heading).toBeHidden()
})
