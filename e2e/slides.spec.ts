import { expect, openSite, saved, test } from './application'
import { designer } from './designer'

test('slides are reached without a script by their dots, and with one by buttons and keys; none moves by itself for those who want no motion', async ({
  page,
  app,
  browser,
}) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const { section, block, figure, tray, order, choose } = designer(page)
  await section('Story')
  await block('Slideshow')
  await figure('Seconds for each slide', '2')
  for (const [i, name] of ['moon', 'the-stove'].entries()) {
    await order.getByRole('button', { name: 'Picture', exact: true }).nth(i).click()
    await choose('Picture of this site', name)
    await choose('Shape', '16 : 9')
  }
  await saved(page)
  const id = /sites\/([\w-]{10})/.exec(page.url())![1]!
  const url = `${app.url}/visit/${id}/index.html`

  const plain = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 1000, height: 800 } })
  const still = await plain.newPage()
  await still.goto(url)
  const row = still.locator('.slides')
  await row.scrollIntoViewIfNeeded()
  await expect(still.locator('.slide-controls button').first()).toBeHidden()
  await still.locator('.slide-dots a').nth(1).click()
  await expect(still.locator('.slides > div').nth(1)).toBeInViewport({ ratio: 0.9 })
  await plain.close()

  const calm = await browser.newContext({ reducedMotion: 'reduce', viewport: { width: 1000, height: 800 } })
  const visit = await calm.newPage()
  const wrong: string[] = []
  visit.on('pageerror', (error) => wrong.push(error.message))
  await visit.goto(url)
  await visit.locator('.slides').scrollIntoViewIfNeeded()
  const current = () =>
    visit.locator('.slide-dots a').evaluateAll((all) => all.findIndex((one) => one.hasAttribute('aria-current')))
  await expect.poll(current).toBe(0)
  await visit.getByRole('button', { name: 'Next' }).click()
  await expect.poll(current).toBe(1)
  await visit.locator('.slides').press('ArrowLeft')
  await expect.poll(current).toBe(0)
  await expect(visit.getByRole('button', { name: 'Pause' })).toHaveAttribute('aria-pressed', 'true')
  await calm.close()

  const lively = await browser.newContext({ reducedMotion: 'no-preference', viewport: { width: 1000, height: 800 } })
  const moving = await lively.newPage()
  moving.on('pageerror', (error) => wrong.push(error.message))
  await moving.goto(url)
  await moving.locator('.slides').scrollIntoViewIfNeeded()
  await expect(moving.locator('.slide-dots a').nth(1)).toHaveAttribute('aria-current', 'true')
  await moving.getByRole('button', { name: 'Pause' }).click()
  await expect(moving.getByRole('button', { name: 'Pause' })).toHaveAttribute('aria-pressed', 'true')
  await lively.close()
  expect(wrong).toEqual([])
  await expect(tray).toBeVisible()
})
