import { expect, openSite, test } from './application'
import { seriousOn } from './axe'

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
