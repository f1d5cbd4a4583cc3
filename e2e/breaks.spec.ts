import { composed, expect, openSite, saved, test } from './application'
import { designer } from './designer'

test('where a page breaks is found to the px, and a breakpoint is offered there', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  await composed(page)
  const { section, words, figure, tray } = designer(page)
  await section('Work')
  await words('Heading', 'Spectrohelioscope')
  await tray.getByRole('button', { name: /^Below 640/ }).click()
  await figure('Columns spanned', '3')
  await page.keyboard.press('e')
  await expect(page.getByText(/things break at some widths/)).toBeVisible()
  await page.locator('[data-breaks]').first().click()
  const list = page.getByRole('dialog', { name: /^What breaks/ })
  const row = list
    .locator('div', { hasText: 'Spectrohelioscope' })
    .filter({ has: page.getByRole('button') })
    .last()
  const [, , to] = /from (\d+) to (\d+) px/.exec((await row.innerText()).replaceAll('\n', ' '))!
  const last = Number(to)
  expect(last).toBeGreaterThan(300)
  expect(last).toBeLessThan(639)
  await row.getByRole('button', { name: `Breakpoint below ${last + 1}` }).click()
  await expect(page.getByRole('button', { name: new RegExp(`^Breakpoint below ${last + 1} px`) })).toHaveCount(1)
  await expect(tray.getByRole('button', { name: new RegExp(`^Below ${last + 1}`) })).toHaveAttribute('aria-pressed', 'true')

  // On the page as visitors get it, the word fits from there on, and not below.
  await saved(page)
  const id = /sites\/([\w-]{10})/.exec(page.url())![1]!
  const visit = await page.context().newPage()
  await visit.goto(`${app.url}/visit/${id}/index.html`)
  await visit.addStyleTag({ content: '*{overflow-wrap:normal!important;hyphens:manual!important}' })
  await visit.evaluate(() => document.fonts.ready)
  const over = async (width: number) => {
    await visit.setViewportSize({ width, height: 800 })
    return visit
      .locator('#work h2, #work h3')
      .first()
      .evaluate((one) => one.scrollWidth > one.clientWidth + 1)
  }
  expect([await over(last), await over(last + 1)]).toEqual([true, false])
  await visit.close()
})
