import type { Page } from '@playwright/test'
import { pixels } from '#core/values/length'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { seriousOn } from './axe'
import { composed, expect, test } from './application'
import { keep } from './sweep.fixture'

/** A button whose words fit as they are, and not once they are longer. */
const site = siteOf('Narrow', [
  section('book', [
    worded('button', 'buttonone', 'Book a boat', { width: pixels(150) }),
    worded('text', 'textone', 'Oars and a thermos'),
  ]),
])

async function putTo(page: Page, label: string): Promise<void> {
  await page.getByRole('combobox', { name: 'What the page is put to' }).click()
  await page.getByRole('option', { name: label }).click()
}

test('a page is put to longer words, shown so and swept so, and nothing of it is kept', async ({ page, app }) => {
  const address = keep(app, site)
  await page.goto(`${address}/pages/${site.pages[0]!.id}/check`)
  await expect(page.locator('[data-swept]')).toBeVisible()
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '0')

  await putTo(page, 'Words 40 % longer')
  await expect(page.locator('[data-finding="secondLine"]')).toContainText('“Bøoøok')
  await expect(page.frameLocator('[data-live] iframe').getByText('Øoåars')).toBeVisible()
  expect(await seriousOn(page)).toEqual([])
  await putTo(page, 'Reflow at 320 px')
  await expect(page.locator('[data-swept="1"]')).toBeVisible()
  await expect(page.locator('[data-worst]')).toHaveAttribute('data-worst', '320')
  await putTo(page, 'Right to left')
  await expect(page.locator('[data-swept]')).toBeVisible()
  await expect(page.locator('[data-finding="readingOrder"]')).toHaveCount(0)
  await putTo(page, 'As it is')
  await expect(page.locator('[data-faults]')).toHaveAttribute('data-faults', '0')
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible()
})

test('the views of Compose are put to it with the trouble band, until words are edited or it is closed', async ({ page, app }) => {
  await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/compose`)
  await composed(page)
  await page.keyboard.press('e')
  await putTo(page, 'Words 40 % longer')
  const words = page.frameLocator('[data-view="1280"] iframe').locator('[data-block="textone"]')
  await expect(words).toContainText('Øoåars')
  await expect(page.locator('[data-stage]')).toBeFocused()
  await page.keyboard.press('e')
  await expect(page.getByRole('combobox', { name: 'What the page is put to' })).toHaveCount(0)
  await expect(words).toHaveText('Oars and a thermos')
})
