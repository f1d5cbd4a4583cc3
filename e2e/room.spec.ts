import { composed, expect, openSite, test } from './application'
import { designer } from './designer'

const SITE = 'Hollin Ridge Observatory'

test.beforeEach(async ({ page, app }) => {
  await openSite(page, app, SITE)
  await composed(page)
})

/** The scale that a view is drawn at, as its caption says. */
const scaleOf = async (page: Parameters<typeof composed>[0], width: number) =>
  Number(/now (\d+) %/.exec((await page.getByRole('button', { name: `Fit view at ${width}` }).getAttribute('aria-label'))!)![1])

test('the widest view has half its size and more beside the narrowest, and what is folded stays so', async ({ page }) => {
  expect(await scaleOf(page, 1280)).toBeLessThan(50)
  await page.keyboard.press('f')
  await expect(page.locator('[data-view]')).toHaveCount(2)
  expect(await scaleOf(page, 1280)).toBeGreaterThanOrEqual(50)
  await page.keyboard.press('o')
  await expect(page.getByRole('complementary', { name: 'Running order' })).toHaveCount(0)
  await expect.poll(() => scaleOf(page, 1280)).toBeGreaterThanOrEqual(65)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Unfold the view at 768' })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Running order' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Running order' }).click()
  await page.getByRole('button', { name: 'Unfold the view at 768' }).click()
  await composed(page)
  await expect(page.locator('[data-view]')).toHaveCount(3)

  await page.getByRole('button', { name: /^02 Opening/ }).click()
  await page.getByRole('button', { name: 'Fold Place' }).click()
  await expect(page.getByRole('region', { name: 'Place of Opening' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Unfold Place' }).click()
  await expect(page.getByRole('region', { name: 'Place of Opening' })).toBeVisible()
})

test('words are typed in the view that is open, where the first is folded', async ({ page }) => {
  await page.getByRole('button', { name: 'Fold the view at 1280' }).click()
  const { section, words, order } = designer(page)
  await section('Story')
  await words('Heading', 'Seen small first')
  await expect(page.frameLocator('[data-view="768"] iframe').getByRole('heading', { name: 'Seen small first' })).toBeVisible()
  await expect(order.getByRole('button', { name: /^Heading/ })).toBeVisible()
})

test('what a field cannot take is said above it with what it can, and changes nothing', async ({ page }) => {
  const { section, block, tray } = designer(page)
  await section('Story')
  await block('Group')
  const columns = tray.getByRole('textbox', { name: 'Columns spanned' })
  const height = tray.getByRole('textbox', { name: 'Height, least' })
  for (const [field, typed, said] of [
    [columns, '0', 'Columns spanned takes a whole number from 1 to 12.'],
    [columns, '-3', 'Columns spanned takes a whole number from 1 to 12.'],
    [height, '-3 columns', 'Height, least takes 0 to 24 columns.'],
    [height, '1000000000 px', 'Height, least takes 0 to 10,000 px.'],
    [height, 'NaN', 'Height, least takes a figure with its unit'],
  ] as const) {
    const before = await field.inputValue()
    await field.fill(typed)
    await field.press('Enter')
    await expect(page.getByRole('alert')).toContainText(said)
    await expect(field).toHaveValue(typed)
    await field.press('Escape')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(field).toHaveValue(before)
  }
})
