import { expect, openSite, saved, test } from './application'
import { designer, measure, near } from './designer'

const SITE = 'Hollin Ridge Observatory'

test.beforeEach(async ({ page, app }) => {
  await openSite(page, app, SITE)
})

test('a card made shared, placed six times, changed once', async ({ page, app }) => {
  const { section, block, words, figure, fill, out, tray, order } = designer(page)
  await section('Proof')
  await block('Group')
  await figure('Columns spanned', '4')
  await fill('Fill', 'accent')
  await words('Heading', 'Clear skies')
  await out()
  await expect(tray.getByRole('heading', { name: 'Group', exact: true })).toBeVisible()
  await page.keyboard.press('m')
  await expect(tray.getByRole('note')).toContainText('will change 1 place.')
  for (let n = 2; n <= 6; n++) {
    await order.getByRole('button', { name: 'Add a block' }).click()
    await page.getByRole('menuitem', { name: 'Copy of Group' }).click()
    await expect(tray.getByRole('note')).toContainText(`will change ${n} places`)
  }
  await figure('Padding top and bottom', '40')
  await figure('Height, least', '240')
  // One copy has words of its own, and stands on other columns.
  await figure('Columns spanned', '8')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Cloud, and cocoa')
  await page.keyboard.press('Escape')
  await expect(tray.getByText('Its own here: 1 block of words.')).toBeVisible()

  const boxes = await measure(page, app, ['#proof > div', '#proof h2'])
  const [cards] = boxes.get(1280)!
  expect(cards).toHaveLength(6)
  const column = (1120 - 11 * 24) / 12
  cards!.forEach((card, n) => near(card.width, n === 5 ? 8 * column + 7 * 24 : 4 * column + 3 * 24))
  for (const [, [all, headings]] of boxes)
    all!.forEach((card, n) => {
      near(card.height, 240)
      near(headings![n]!.top - card.top, 40)
    })

  // The deck has the words that all have once, and the one card's own.
  await page.getByRole('link', { name: /^Copy/ }).click()
  const deck = page.locator('.cm-content')
  await deck.click()
  // The editor holds the lines in sight alone.
  await page.keyboard.press('Control+Home')
  await expect(async () => {
    await page.keyboard.press('PageDown')
    await expect(deck).toContainText('Cloud, and cocoa', { timeout: 300 })
  }).toPass()
  expect((await deck.innerText()).split('Clear skies')).toHaveLength(2)
})

test('a guise is made of one copy, changed alone, and taken away; a copy is made independent', async ({ page }) => {
  const { section, block, figure, choose, tray, order } = designer(page)
  await section('Proof')
  await block('Group')
  await page.keyboard.press('m')
  await order.getByRole('button', { name: 'Add a block' }).click()
  await page.getByRole('menuitem', { name: 'Copy of Group' }).click()
  await choose('Guise of the copy', 'A new one')
  await expect(tray.getByRole('note')).toContainText('will change 1 place in the guise Guise 1.')
  await figure('Padding top and bottom', '64')
  await tray.getByRole('button', { name: 'All copies 2' }).click()
  await expect(tray.getByRole('note')).toContainText('will change 2 places.')
  await figure('Padding sides', '16')
  const copies = order.getByRole('button', { name: /^Group/ })
  await copies.first().click()
  await expect(tray.getByRole('textbox', { name: 'Padding sides', exact: true })).toHaveValue('16 px')
  await expect(tray.getByRole('textbox', { name: 'Padding top and bottom', exact: true })).not.toHaveValue('64 px')
  await expect(page.locator('[data-view] [data-copies="2"]').first()).toBeAttached()

  await page.keyboard.press('b')
  const dialog = page.getByRole('dialog', { name: 'Shared blocks' })
  await expect(dialog.getByText('Group: padding top 64 px, padding bottom 64 px')).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Name of the shared block' }).fill('Card')
  await dialog.getByRole('textbox', { name: 'Name of the shared block' }).press('Enter')
  await page.keyboard.press('Escape')
  await expect(order.getByRole('button', { name: /^Card shared/ })).toHaveCount(2)

  await tray.getByRole('button', { name: 'Make independent' }).click()
  await expect(order.getByRole('button', { name: /^Card shared/ })).toHaveCount(1)
  await expect(tray.getByRole('note')).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(order.getByRole('button', { name: /^Card shared/ })).toHaveCount(2)
  await saved(page)
})
