import { pixels } from '#core/values/length'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { composed, expect, test } from './application'
import { keep } from './sweep.fixture'

test('faults stand on the width ruler at their very widths; pressed, one is shown where it is worst', async ({ page, app }) => {
  const site = siteOf('Troubled', [section('wide', [worded('text', 'wideone', 'Bring a coat', { width: pixels(700) })])])
  await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/compose`)
  await composed(page)
  await page.keyboard.press('e')
  await expect(page.getByText('1 fault at some widths')).toBeVisible()
  const mark = page.locator('[data-trouble]')
  await expect(mark).toHaveAttribute('data-trouble', '280-731')
  await mark.click()
  const list = page.getByRole('dialog', { name: '1 fault at 280–731 px' })
  await list.getByRole('button', { name: /reaches 440 px past the window/ }).click()
  await expect(page.locator('[data-view="280"]')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Tray' })).toContainText('in wide')

  // Again after an edit, for what it touched.
  await page.getByRole('button', { name: 'Undo views' }).click()
  await page.keyboard.press('Delete')
  await expect(page.getByText(/^No fault from 280 to 2560 px/)).toBeVisible()
})
