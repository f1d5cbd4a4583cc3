import { composed, expect, openSite, saved, test } from './application'
import { boxesInView, middle, onScreen, reveal } from './views'

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
  await page.getByPlaceholder('Add, go to, show …').fill('Tea that stays hot')
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
