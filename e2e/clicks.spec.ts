import type { Page } from '@playwright/test'
import { type Application, composed, demoSites, expect, openScreen, openSite, saved, test } from './application'
import { PRESS_SCRIPT } from '#core/render/press-script'
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
/** Opens the first page in Compose. @returns the id of its site */
async function openHome(page: Page, app: Application): Promise<string> {
  await openSite(page, app, SITE)
  return /sites\/([\w-]+)/.exec(page.url())![1]!
}
/** Opens the page of the instruments in Compose. @returns the id of its site */
async function openInstruments(page: Page, app: Application) {
  await openScreen(page, app, SITE, 'compose', 'The instruments')
  await composed(page)
  return /sites\/([\w-]+)/.exec(page.url())![1]!
}

test('a group of buttons shows its panels one at a time, with a second for each, as tabs', async ({ page, app }) => {
  const site = await openInstruments(page, app)
  await press(page, 1280, '.one-shown [data-shown] p')
  const tray = page.getByRole('region', { name: 'Tray' })
  for (let n = 0; n < 2; n++) await page.keyboard.press('Escape')
  await column(page, 'Change')
  await expect(tray.getByText('1 s out, 1 s in')).toBeVisible()
  const bar = tray.getByRole('slider', { name: 'Offset, in' })
  for (let n = 0; n < 2; n++) await bar.press('Shift+ArrowRight')
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
  // On its way in, each part by its own time.
  const coming = await tabs.nth(1).evaluate((tab) => {
    ;(tab as HTMLElement).click()
    const panel = document.querySelector('.one-shown > [data-shown]')!
    void getComputedStyle(panel).opacity
    return panel.getAnimations().map((one) => {
      const { delay, duration } = one.effect!.getTiming()
      return `${(one as CSSTransition).transitionProperty} ${Number(duration)} after ${Number(delay)}`
    })
  })
  expect(coming.sort()).toEqual(['opacity 600 after 400', 'translate 1000 after 0', 'visibility 0 after 0'].slice(0, coming.length))
  await expect(page.getByRole('tabpanel', { name: 'Moonlit' })).toHaveText(/The wide one rests/)
  const seen = (n: number) =>
    page
      .locator('.one-shown > *')
      .nth(n)
      .evaluate((one) => {
        const { opacity, translate, visibility } = getComputedStyle(one)
        return { opacity: Number(opacity), translate, visibility }
      })
  await expect.poll(() => seen(1)).toEqual({ opacity: 1, translate: 'none', visibility: 'visible' })
  await expect.poll(() => seen(0)).toEqual({ opacity: 0, translate: '60px', visibility: 'hidden' })
  await tabs.nth(1).focus()
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
  app,
}) => {
  const site = demoSites().find((one) => one.name === SITE)!.id
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
  const site = await openHome(page, app)
  await expect(view(page, 1280).getByText('Why come').first()).toBeVisible()
  await expect(view(page, 375).getByText('Why come').first()).toBeHidden()
  await press(page, 1280, 'nav a')
  await expect(view(page, 375).getByText('Why come').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await expect(view(page, 375).getByText('Why come').first()).toBeHidden()

  // Where it does not fold, there is nothing of it but the links, in the colour of the nav.
  await page.goto(`${app.url}/visit/${site}/index.html`)
  const colours = await page
    .locator('nav[aria-label=Main]')
    .evaluate((nav) => [nav, nav.querySelector('a')!].map((one) => getComputedStyle(one).color))
  expect(colours[1]).toBe(colours[0])
  const menuLinks = page.getByRole('navigation', { name: 'Main' }).getByRole('link')
  // Nor does it hold who goes on by Tab (WCAG 2.2, 2.1.2).
  await menuLinks.last().focus()
  await page.keyboard.press('Tab')
  expect(
    await page.evaluate(() => document.activeElement?.closest('nav') === null && document.activeElement !== document.body),
  ).toBe(true)
  // What is on the same page is found without loading it anew, at whatever address it was opened.
  await page.goto(`${app.url}/visit/${site}/`)
  await page.evaluate(() => Object.assign(window, { stays: true }))
  await menuLinks.nth(1).click()
  await expect(page.getByRole('heading', { name: 'The plan, in three steps' })).toBeInViewport()
  expect(await page.evaluate(() => 'stays' in window)).toBe(true)
  await page.setViewportSize({ width: 375, height: 740 })
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
  const site = await openHome(page, app)
  // The lead of the plan becomes a dialog.
  await press(page, 1280, '.plan-lead h2')
  await page.keyboard.press('Escape')
  const tray = page.getByRole('region', { name: 'Tray' })
  await column(page, 'Entry')
  await choose(page, 'When the group is seen', 'Mid-window, from a button')
  await expect(tray.getByText('No button opens it')).toBeVisible()
  // A button may be let open it where that is missed; taken back, it is missed again.
  await tray.getByRole('button', { name: 'Let “Book an autumn night” open it' }).click()
  await expect(tray.getByText('No button opens it')).toBeHidden()
  await page.keyboard.press('Control+z')
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

test('blocks of a group are shown in turn as sections pass a line, both ways, in the views and for visitors', async ({
  page,
  app,
}) => {
  const site = await openInstruments(page, app)
  await press(page, 1280, '.one-shown [data-shown] p')
  for (let n = 0; n < 2; n++) await page.keyboard.press('Escape')
  await column(page, 'Entry')
  const tray = page.getByRole('region', { name: 'Tray' })
  await tray.getByRole('group', { name: 'What shows its blocks' }).getByRole('button', { name: 'The scroll' }).click()
  await choose(page, 'What shows: Moonlit', 'Section Opening')
  await choose(page, 'What shows: Cloudy', 'Section Story')
  await tray.getByRole('textbox', { name: 'Line of the steps of the window' }).fill('40')
  await page.keyboard.press('Enter')
  await saved(page)

  // In the views at the playhead.
  await page.keyboard.press('Escape')
  await page.locator('[data-stage]').focus()
  await page.keyboard.press('j')
  const shownInView = () =>
    page
      .locator('[data-view="1280"] iframe')
      .evaluate((frame) =>
        (frame as HTMLIFrameElement).contentDocument!.querySelector('.one-shown > [data-shown]')!.textContent!.slice(0, 9),
      )
  const playhead = page.getByRole('slider', { name: 'Playhead' })
  await playhead.focus()
  await page.keyboard.press('Shift+ArrowDown')
  await expect.poll(shownInView).toBe('The wide ')
  for (let n = 0; n < 40; n++) await page.keyboard.press('Shift+ArrowDown')
  await expect.poll(shownInView).toBe('The stove')

  await page.goto(`${app.url}/visit/${site}/the-instruments.html`)
  const at = async (selector: string, past: number) => {
    await page.evaluate(
      ([wanted, px]) => {
        const { top } = document.querySelector(String(wanted))!.getBoundingClientRect()
        scrollTo({ top: scrollY + top - 0.4 * innerHeight + Number(px), behavior: 'instant' })
      },
      [selector, past] as const,
    )
    return () => page.evaluate(() => document.querySelector('.one-shown > [data-shown]')!.textContent!.trim().slice(0, 9))
  }
  await expect.poll(await at('#story', -4)).toBe('The wide ')
  await expect.poll(await at('#story', 4)).toBe('The stove')
  await expect.poll(await at('#story', 500)).toBe('The stove')
  await expect.poll(await at('#story', -4)).toBe('The wide ')
})

test('a link in a dialog, or in what lies under its button, leads to its place and shuts what covers it', async ({ page }) => {
  await page.setContent(`<h2 id="prices" style="margin-top:200vh">Prices</h2>
    <dialog id="d"><a href="#prices">See the prices</a> <a href="#prices"><b>Bold</b></a></dialog>
    <div id="p" popover="auto" role="group" aria-label="More"><a href="#prices">Popover</a></div>
    <script>${PRESS_SCRIPT}</script>`)
  const heading = page.getByRole('heading', { name: 'Prices' })
  for (const name of ['See the prices', 'Bold', 'Popover']) {
    await page.evaluate((over) => {
      scrollTo(0, 0)
      if (over === 'Popover') document.querySelector<HTMLElement>('#p')!.showPopover()
      else document.querySelector('dialog')!.showModal()
    }, name)
    await expect(heading).not.toBeInViewport()
    await page.getByRole('link', { name }).click()
    await expect(page.getByRole('link', { name })).toBeHidden()
    await expect(heading).toBeInViewport()
  }
})
