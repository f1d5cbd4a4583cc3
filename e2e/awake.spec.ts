import type { Page } from '@playwright/test'
import { PAGE_SCREENS } from '../app/screens'
import { addressOf, awake, expect, test } from './application'
import { DISABLED, seriousOn } from './axe'

const SITE = 'Hollin Ridge Observatory'

/** How late the scripts of the application arrive, ms. */
const LATE = 2000

const SCRIPTS = /\/assets\/.*\.js$/

/**
 * Opens a screen whose scripts arrive late, and waits until it is seen.
 * @param late what they wait for
 */
async function openEarly(page: Page, address: string, late = () => new Promise((done) => setTimeout(done, LATE))): Promise<void> {
  await page.route(SCRIPTS, async (route) => {
    await late()
    await route.continue()
  })
  await page.goto(address, { waitUntil: 'commit' })
  await page.locator('html[data-asleep] body :is(header, main)').first().waitFor()
}

test('a press on any screen before its scripts have arrived is answered once they have; axe finds nothing serious there', async ({
  page,
  app,
}) => {
  for (const screen of PAGE_SCREENS) {
    // However long that takes: they come once it was pressed.
    let arrive = () => {}
    const pressed = new Promise<void>((done) => (arrive = done))
    await openEarly(page, addressOf(app, SITE, screen), () => pressed)
    if (screen === 'play')
      await page.getByRole('group', { name: 'Widths of the views' }).getByRole('button', { name: '375' }).click()
    else await page.locator('header').getByRole('button', { name: 'Autumn nights', exact: true }).click()
    await expect(page.locator('html'), screen).toHaveAttribute('data-asleep')
    arrive()
    if (screen === 'play') await expect(page.getByLabel('Width of the page')).toHaveValue('375')
    else {
      await page.getByRole('menuitem', { name: 'Winter sky chart', exact: true }).waitFor()
      // It has the focus, and keys lead through it.
      await expect(page.locator('[role=menu]:focus, [role=menu] :focus'), screen).toHaveCount(1)
      await page.keyboard.press('Escape')
      await expect(page.getByRole('menuitem'), screen).toHaveCount(0)
    }
    expect(await seriousOn(page, DISABLED), screen).toEqual([])
    await page.unroute(SCRIPTS)
  }
})

test('keys and letters that are pressed too early are played in their order, into what they open', async ({ page, app }) => {
  await openEarly(page, addressOf(app, SITE))
  await page.keyboard.press('/')
  await page.keyboard.type('add divider', { delay: 20 })
  await page.keyboard.press('Enter')
  await expect(page.locator('html')).toHaveAttribute('data-asleep')
  await expect(page.getByRole('region', { name: 'Tray' }).getByRole('heading', { name: 'Divider' })).toBeVisible()
})

test('letters go into a dialog that is still loaded, and are no keys meanwhile', async ({ page, app }) => {
  await openEarly(page, addressOf(app, SITE))
  await awake(page)
  await page.keyboard.press('/')
  await page.keyboard.type('grid distances', { delay: 20 })
  await expect(page.getByRole('dialog').getByRole('combobox')).toHaveValue('grid distances')
  await expect(page.locator('[data-grid], [data-distances]')).toHaveCount(0)
})

test('on the home screen a button that is pressed early opens its dialog, and what is typed is in its field', async ({
  page,
  app,
}) => {
  await openEarly(page, app.url)
  await page.getByRole('button', { name: 'New site' }).click()
  await page.keyboard.type('Skerry light', { delay: 20 })
  await page.keyboard.press('Enter')
  await page.waitForURL(/brief$/)
  await expect(page.locator('header').getByText('Skerry light')).toBeVisible()
})

test('words in a field that is there before the scripts are kept and saved', async ({ page, app }) => {
  await openEarly(page, addressOf(app, SITE, 'brief'))
  const visitors = page.getByRole('textbox').first()
  await visitors.fill('Families from the valley, after work')
  await visitors.blur()
  await expect(page.locator('html')).toHaveAttribute('data-asleep')
  await awake(page)
  await expect(visitors).toHaveValue('Families from the valley, after work')
  await expect(page.getByRole('status').filter({ hasText: /Saved \d/ })).toBeVisible()
  await page.unroute(SCRIPTS)
  await page.reload()
  await expect(visitors).toHaveValue('Families from the valley, after work')
})

test('a screen whose scripts do not arrive says so', async ({ page, app }) => {
  await page.route(SCRIPTS, (route) => route.abort())
  await page.goto(addressOf(app, SITE, 'brief'))
  await expect(page.getByRole('alert')).toContainText('The scripts of this screen did not arrive')
})
