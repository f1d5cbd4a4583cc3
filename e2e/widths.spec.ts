import { expect, openSite, saved, test } from './application'
import { boxesInView } from './views'

const SITE = 'Hollin Ridge Observatory'
const CARDS = '#reasons > div > div'

test('exceptions stand in a table: copied, made the base, cleared; a block is left out at a range', async ({ page, app }) => {
  await openSite(page, app, SITE)
  const order = page.getByRole('complementary', { name: 'Running order' })
  const tray = page.getByRole('region', { name: 'Tray' })
  await order
    .getByRole('button', { name: /Reasons/ })
    .first()
    .click()
  await page.keyboard.press('x')
  const dialog = page.getByRole('dialog', { name: 'Exceptions of Reasons' })
  const row = dialog.getByRole('row', { name: /Padding top/ })
  // What is set stands in its field; what comes from a wider range stands pale in it.
  const holds = (...values: string[]) =>
    expect
      .poll(() =>
        row
          .getByRole('textbox')
          .evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value || (one as HTMLInputElement).placeholder)),
      )
      .toEqual(values)
  await holds('space-9', 'space-9', 'space-8')
  const choose = async (cell: RegExp, action: string) => {
    await dialog.getByRole('button', { name: cell }).click()
    await page.getByRole('menuitem', { name: action }).click()
  }
  await choose(/Padding top.*below 640$/, 'Copy to below 1024')
  await holds('space-9', 'space-8', 'space-8')
  await choose(/Padding top.*below 1024$/, 'Make this the base')
  await expect(row).toBeHidden()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('x')
  await choose(/All below 640/, 'Take all exceptions away')
  await expect(dialog.getByText('Nothing differs at any width.')).toBeVisible()
  await page.keyboard.press('Escape')

  // The first reason is left out of the phone alone.
  await order
    .getByRole('button', { name: /^Reason 4 col/ })
    .first()
    .click()
  await tray.getByRole('button', { name: /Below 640/ }).click()
  await tray.getByRole('button', { name: 'Left out' }).click()
  await expect(tray.getByText(/Left out below 640: screen readers do not read it there/)).toBeVisible()
  const seen = async (width: number) => (await boxesInView(page, width, '#reasons > div')).filter((one) => one.height > 0).length
  await expect.poll(() => seen(375)).toBe(2)
  expect([await seen(768), await seen(1280)]).toEqual([3, 3])
  await saved(page)
})

test('a group wraps by itself: its items have a least width, and no exceptions are needed', async ({ page, app }) => {
  await openSite(page, app, SITE)
  const tray = page.getByRole('region', { name: 'Tray' })
  const cards = page.getByRole('complementary', { name: 'Running order' }).getByRole('button', { name: /^Reason 4 col/ })
  await page
    .getByRole('complementary', { name: 'Running order' })
    .getByRole('button', { name: /Reasons/ })
    .first()
    .click()
  await cards.nth(0).click()
  await cards.nth(1).click({ modifiers: ['Shift'] })
  await cards.nth(2).click({ modifiers: ['Shift'] })
  await page.keyboard.press('Control+g')
  await tray.getByRole('combobox', { name: 'Way to lay out' }).click()
  await page.getByRole('option', { name: /By itself/ }).click()
  const widths = (width: number) => async () => (await boxesInView(page, width, CARDS)).map((one) => Math.round(one.width))
  // (1120 − 2 × 24) / 3 at 1280; at 768 as many of 240 px as have room in its container; all of it at 375.
  await expect.poll(widths(1280)).toEqual([357, 357, 357])
  await expect
    .poll(async () => (await boxesInView(page, 768, CARDS)).filter((one, _, all) => one.top === all[0]!.top).length)
    .toBe(2)
  const [first, second] = await boxesInView(page, 375, CARDS)
  expect(second!.top).toBeGreaterThan(first!.top)
  await saved(page)
})
