import { composed, expect, openSite, saved, test } from './application'
import { seriousOn } from './axe'
import { designer } from './designer'
import { press } from './views'

const SITE = 'Hollin Ridge Observatory'

test('a form says beside a field what is wrong, once it was left, and is sent once; its entry is found and saved', async ({
  page,
  app,
}) => {
  await openSite(page, app, SITE)
  const [, site] = /sites\/([\w-]+)/.exec(page.url())!
  const visit = `${app.url}/visit/${site}/winter-sky-chart.html`
  await page.goto(visit)
  const mail = page.getByRole('textbox', { name: 'Mail address' })
  const problem = page.locator('.field-problem')
  await mail.focus()
  await page.keyboard.press('Tab')
  // What was passed by is no fault yet.
  await expect(problem).toHaveCount(0)
  await mail.fill('ada')
  await expect(problem).toHaveCount(0)
  await mail.blur()
  await expect(problem).toHaveText('This is no mail address: it wants an @ and a place after it.')
  await expect(mail).toHaveAttribute('aria-invalid', 'true')
  await expect(mail).toHaveAccessibleDescription(/no mail address/)
  await expect(mail).toHaveAccessibleName('Mail address')
  expect(await seriousOn(page)).toEqual([])
  await mail.fill('ada@example.org')
  await expect(problem).toHaveCount(0)
  await mail.fill('')
  await page.getByRole('button', { name: 'Send me the chart' }).click()
  await expect(problem).toHaveText('Please fill this in.')
  await expect(mail).toBeFocused()
  expect(page.url()).toBe(visit)
  await mail.fill('ada@example.org')
  await page.getByRole('button', { name: 'Send me the chart' }).click()
  await expect.poll(() => page.url()).not.toBe(visit)

  await page.goto(`${app.url}/sites/${site}/pages/autumn/inbox`)
  await page.getByRole('searchbox', { name: 'Words to look for in the entries' }).fill('ADA@')
  await page.getByRole('button', { name: 'Search' }).click()
  await expect(page.getByText('1 entry with “ADA@”')).toBeVisible()
  const saving = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save as CSV' }).click()
  const saved = await saving
  expect(saved.suggestedFilename()).toBe('entries.csv')
  await page.getByRole('searchbox', { name: 'Words to look for in the entries' }).fill('nobody')
  await page.keyboard.press('Enter')
  await expect(page.getByText('No entry has these words.')).toBeVisible()
  expect(await seriousOn(page)).toEqual([])
})

test('a long form is filled in part by part, on only where all is well, and is sent whole', async ({ page, app, browser }) => {
  await openSite(page, app, SITE)
  await page.getByRole('button', { name: /^Autumn nights/ }).click()
  await page.getByRole('menuitem', { name: 'Winter sky chart', exact: true }).click()
  await composed(page)
  const { tray, out } = designer(page)
  await press(page, 1280, 'form .field input')
  await page.keyboard.press('Control+g')
  await page.keyboard.press('Control+d')
  await out()
  await tray.getByRole('checkbox', { name: 'Filled in part by part' }).click()
  await expect(tray.getByText('2 parts, one for each group.')).toBeVisible()
  expect(await seriousOn(page)).toEqual([])
  await saved(page)
  const [, site] = /sites\/([\w-]+)/.exec(page.url())!
  const url = `${app.url}/visit/${site}/winter-sky-chart.html`

  await page.goto(url)
  const form = page.locator('form[data-parts]')
  const field = form.getByRole('textbox')
  const send = form.getByRole('button', { name: 'Send me the chart' })
  await expect(form.getByRole('status')).toHaveText('1 of 2')
  await expect(field).toHaveCount(1)
  await expect(send).toBeHidden()
  await expect(form.getByRole('button', { name: 'Previous' })).toBeHidden()
  await form.getByRole('button', { name: 'Next' }).click()
  await expect(form.locator('.field-problem')).toHaveText('Please fill this in.')
  await expect(field).toBeFocused()
  // Enter goes on as the button does, and sends nothing.
  await field.fill('ada@example.org')
  await page.keyboard.press('Enter')
  await expect(form.getByRole('status')).toHaveText('2 of 2')
  expect(page.url()).toBe(url)
  await expect(form.locator('[data-part]').nth(1)).toBeFocused()
  await expect(form.getByRole('button', { name: 'Next' })).toBeHidden()
  expect(await seriousOn(page)).toEqual([])
  await form.getByRole('button', { name: 'Previous' }).click()
  await expect(field).toHaveValue('ada@example.org')
  await form.getByRole('button', { name: 'Next' }).click()
  await field.fill('lovelace@example.org')
  await send.click()
  await expect.poll(() => page.url()).not.toBe(url)
  await page.goto(`${app.url}/sites/${site}/pages/autumn/inbox`)
  for (const mail of ['ada@example.org', 'lovelace@example.org']) await expect(page.getByText(mail)).toBeVisible()

  const plain = await (await browser.newContext({ javaScriptEnabled: false })).newPage()
  await plain.goto(url)
  await expect(plain.locator('form').getByRole('textbox')).toHaveCount(2)
  await expect(plain.getByRole('button', { name: 'Next' })).toBeHidden()
  await expect(plain.getByRole('button', { name: 'Send me the chart' })).toBeVisible()
  await plain.context().close()
})
