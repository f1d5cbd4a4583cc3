import { composed, expect, openSite, saved, test } from './application'
import { boxesInView, middle, onScreen, press, reveal } from './views'

test('the menu at the pointer acts on what is under it, keys step by columns, and blocks are found by their words', async ({
  page,
  app,
}) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  await page.keyboard.press('1')
  await composed(page)
  await reveal(page, 1280, '#reasons')
  const tray = page.getByRole('region', { name: 'Tray' })
  const cards = '#reasons > div'
  const { x, y } = middle(await onScreen(page, 1280, `${cards}:nth-of-type(2) > h3`))
  await page.mouse.click(x, y, { button: 'right' })
  await page.getByRole('menuitem', { name: 'Duplicate the selection' }).click()
  await expect.poll(async () => (await boxesInView(page, 1280, `${cards}:nth-of-type(2) > h3`)).length).toBe(2)
  await page.keyboard.press('Control+z')

  // The third card, one column narrower and then one to the right.
  await page.keyboard.press('/')
  await page.getByPlaceholder('Add, set, go to, show …').fill('Tea that stays hot')
  await page.getByRole('option', { name: /^Go to Reason “Tea that stays hot”/ }).click()
  await expect(tray.getByRole('heading', { name: 'Reason' })).toBeVisible()
  const left = async () => Math.round((await boxesInView(page, 1280, `${cards}:nth-of-type(3)`))[0]!.left)
  const width = async () => Math.round((await boxesInView(page, 1280, `${cards}:nth-of-type(3)`))[0]!.width)
  const column = (1120 - 11 * 24) / 12
  await page.keyboard.press('Shift+ArrowLeft')
  await expect.poll(width).toBe(Math.round(3 * column + 2 * 24))
  const before = await left()
  await tray.getByRole('textbox', { name: 'From column' }).fill('9')
  await tray.getByRole('textbox', { name: 'From column' }).press('Enter')
  await tray.getByRole('textbox', { name: 'From column' }).blur()
  await expect.poll(left).toBe(before)
  await page.keyboard.press('ArrowRight')
  await expect.poll(left).toBe(Math.round(before + column + 24))
  await saved(page)
})

test('with Alt held, px to what is under the pointer are shown, and to the section where that is the selection', async ({
  page,
  app,
}) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  await page.keyboard.press('1')
  await composed(page)
  const card = (n: number) => onScreen(page, 1280, `#reasons > div:nth-of-type(${n}) > h3`)
  await press(page, 1280, '#reasons > div:nth-of-type(1) > h3')
  const [first, second] = [await card(1), await card(2)]
  await page.mouse.move(second.left + 10, second.top + 5)
  const figures = page.locator('[data-view="1280"] [data-distances-to] text')
  await expect(figures).toHaveCount(0)
  // What draws them comes with the first of them: the key is down meanwhile.
  await page.keyboard.down('Alt')
  // The heading fills its card, which is followed by a gutter of 24 px.
  await expect(figures).toHaveText(['24'])
  await page.mouse.move(first.left + 12, first.top + 5)
  await expect(figures.first()).toBeVisible()
  expect(await figures.count()).toBeGreaterThan(2)
  await page.keyboard.up('Alt')
  await expect(figures).toHaveCount(0)
})
