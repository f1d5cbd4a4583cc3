import { addressOf, composed, demoSites, expect, openSite, saved, test, visitOf } from './application'

const FROM = 'Hollin Ridge Observatory'

test('a section that is copied into another site has its pictures there, says what came along, and goes with one undo', async ({
  page,
  app,
}) => {
  const to = demoSites().find((one) => one.name !== FROM)!.name
  await openSite(page, app, FROM)
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.locator('[aria-roledescription=section]').filter({ hasText: 'What you see' }).click()
  const shown = page.frameLocator('[data-view="1280"] iframe')
  const pictures = await shown.locator('#what-you-see img').count()
  const words = await shown.locator('#what-you-see').innerText()
  expect(pictures).toBeGreaterThan(1)
  await page.keyboard.press('Control+c')

  await page.goto(addressOf(app, to), { waitUntil: 'commit' })
  await composed(page)
  const before = await shown.locator('.band').count()
  await page.keyboard.press('Control+v')
  await expect(shown.locator('.band')).toHaveCount(before + 1)
  await expect(page.getByText(/pictures .*came along/)).toBeVisible()
  const brought = shown.locator('.band').filter({ hasText: words.split('\n')[0]! })
  expect(await brought.innerText()).toBe(words)
  await expect
    .poll(() => brought.locator('img').evaluateAll((all) => all.filter((one) => (one as HTMLImageElement).naturalWidth > 0).length))
    .toBe(pictures)
  await saved(page)
  // Visitors get it as well.
  const visit = await (await page.request.get(`${visitOf(app, to)}/index.html`)).text()
  expect(visit).toContain(words.split('\n')[0]!)

  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(shown.locator('.band')).toHaveCount(before)
})

test('an address of a page that the site has not got says so, and is not its first page', async ({ page, app }) => {
  const site = demoSites().find((one) => one.name === FROM)!
  const answer = await page.goto(`${app.url}/sites/${site.id}/pages/nosuchpage/compose`)
  expect(answer!.status()).toBe(404)
  await expect(page.getByText('This page does not exist, or it was deleted.')).toBeVisible()
})
