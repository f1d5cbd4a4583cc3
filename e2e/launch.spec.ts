import { group, section, siteOf, worded } from '#core/site/made.fixture'
import { seriousOn } from './axe'
import { expect, saved, test } from './application'
import { keep } from './sweep.fixture'

const site = siteOf('Tern & Tide', [
  section('opening', [
    { ...worded('heading', 'headone', 'Boats by the hour'), level: 1 } as never,
    worded('text', 'textone', 'We lend lend boats, oars and a thermos to anybody who can swimm.'),
    group('row', [worded('text', 'texttwo', 'From 12.50 an hour')]),
  ]),
])
const page0 = site.pages[0]!

test('what is missing before launch is said, set beside its previews, and in the export', async ({ page, app }) => {
  const base = `${keep(app, site)}/pages/${page0.id}`
  await page.goto(`${base}/check`)
  await page.getByRole('tab', { name: 'Launch' }).click()
  await expect(page.getByRole('list', { name: 'To mend' })).toContainText('no title of its own')
  const eye = page.getByRole('list', { name: 'For your eye' })
  await expect(eye).toContainText('“lend” stands twice in a row')
  await expect(eye).toContainText('no address yet')

  const said = page.getByRole('group', { name: 'What is said of the page' })
  await said.getByLabel('Title').fill('Boats by the hour, oars and a thermos, at the old slipway of the harbour of Tern')
  await said.getByLabel('Title').press('Enter')
  await expect(page.locator('[data-result]')).toHaveAttribute('data-result', 'cut')
  await expect(eye).toContainText('search results cut it')
  await said.getByLabel('Title').fill('Boats by the hour')
  await said.getByLabel('Title').press('Enter')
  await expect(page.locator('[data-result]')).toHaveAttribute('data-result', 'whole')
  await said.getByLabel('Description').fill('Boats, oars and a thermos, lent by the hour at the slipway.')
  await said.getByLabel('Description').blur()
  await expect(page.getByRole('list', { name: 'To mend' })).toHaveCount(0)

  const all = page.getByRole('group', { name: 'What is said of the site' })
  await all.getByLabel('Address').fill('tern.example')
  await all.getByLabel('Address').press('Enter')
  await expect(page.getByRole('alert')).toContainText('begins with https://')
  await all.getByLabel('Address').fill('https://tern.example/')
  await all.getByLabel('Address').press('Enter')
  await all.getByLabel('Whose it is').fill('Tern & Tide')
  await all.getByLabel('Whose it is').press('Enter')
  await all.getByRole('combobox', { name: 'Icon of the site' }).click()
  await page.getByRole('option', { name: 'A letter' }).click()
  await said.getByRole('combobox', { name: 'What the page is about' }).click()
  await page.getByRole('option', { name: 'A product' }).click()
  await said.getByLabel('Price').fill('12.50')
  await said.getByLabel('Price').press('Enter')

  // The dictionary finds the slip; the names of the site are its own.
  await expect(page.locator('[data-unknown]')).toHaveAttribute('data-unknown', '1')
  await page.getByRole('button', { name: '“swimm” is right here' }).click()
  await expect(page.locator('[data-unknown]')).toHaveAttribute('data-unknown', '0')

  await page.getByRole('button', { name: 'Add a page for what is not found' }).click()
  await expect(eye).not.toContainText('not found')
  expect(await seriousOn(page)).toEqual([])
  await saved(page)

  const visit = base.replace(/\/sites\/([^/]+)\/.*/, '/visit/$1')
  const html = await (await page.request.get(`${visit}/index.html`)).text()
  expect(html).toContain('<link rel="canonical" href="https://tern.example/">')
  expect(html).toContain('"price":"12.50"')
  expect(html).toContain('<link rel="manifest" href="site.webmanifest">')
  expect(await (await page.request.get(`${visit}/robots.txt`)).text()).toContain('https://tern.example/sitemap.xml')
  expect((await page.request.get(`${visit}/favicon.ico`)).headers()['content-type']).toContain('image/x-icon')
  expect(await (await page.request.get(`${visit}/404.html`)).text()).toContain('This page is not here')
})

test('a first load is weighed in each view, against a budget that the designer sets', async ({ page, app }) => {
  await page.goto(`${keep(app, site)}/pages/${page0.id}/check`)
  await page.getByRole('tab', { name: 'Weight' }).click()
  await expect(page.locator('[data-weighed]')).toContainText('within the budget in every view')
  await expect(page.locator('tr[data-view]')).toHaveCount(site.views.length * 2)
  const budget = page.getByLabel('Kilobytes that a first load may take')
  await budget.fill('10')
  await budget.press('Enter')
  await expect(page.locator('[data-weighed]')).toContainText('beyond the budget in 6 of 6')
  await expect(page.locator('tr[data-view]').first()).toHaveAttribute('title', /kB beyond the budget/)
})
