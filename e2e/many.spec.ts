import { composed, expect, openSite, saved, test } from './application'
import { boxesInView, inWindow, middle, onScreen, reveal } from './views'

const SITE = 'Hollin Ridge Observatory'
const CARDS = '#reasons > div'

test.beforeEach(async ({ page, app }) => {
  await openSite(page, app, SITE)
  await page.keyboard.press('1')
  await composed(page)
  await reveal(page, 1280, '#reasons')
})

test('blocks are picked with Shift and by a frame, set together, and that is one step of undo', async ({ page }) => {
  const tray = page.getByRole('region', { name: 'Tray' })
  const first = await onScreen(page, 1280, `${CARDS}:nth-of-type(1)`)
  const third = await onScreen(page, 1280, `${CARDS}:nth-of-type(3)`)
  // From the ground of the section, under the first card and left of it, to above the third and right of it.
  const section = await onScreen(page, 1280, '#reasons')
  await page.mouse.move(section.left + 8, first.top + first.height + 12)
  await page.mouse.down()
  await page.mouse.move(third.left + third.width + 12, third.top - 8, { steps: 8 })
  await expect(page.locator('[data-frame]')).toBeVisible()
  await page.mouse.up()
  await expect(tray.getByRole('heading', { name: '3 blocks' })).toBeVisible()
  await expect(page.locator('[data-marks="3"]')).toBeVisible()

  // One out again, and in again.
  const inFirst = await onScreen(page, 1280, `${CARDS}:nth-of-type(1)`)
  await page.keyboard.down('Shift')
  await page.mouse.click(inFirst.left + inFirst.width - 4, inFirst.top + 6)
  await expect(tray.getByRole('heading', { name: '2 blocks' })).toBeVisible()
  await page.mouse.click(inFirst.left + inFirst.width - 4, inFirst.top + 6)
  await page.keyboard.up('Shift')
  await expect(tray.getByRole('heading', { name: '3 blocks' })).toBeVisible()

  // A value for all; the second has its own then, and the field says that they differ.
  const opacity = tray.getByRole('textbox', { name: 'Opacity', exact: true })
  await opacity.fill('40')
  await opacity.press('Enter')
  const shown = () =>
    page
      .frameLocator('[data-view="1280"] iframe')
      .locator(CARDS)
      .evaluateAll((all) => all.map((one) => getComputedStyle(one).opacity))
  await expect.poll(shown).toEqual(['0.4', '0.4', '0.4'])
  const second = await onScreen(page, 1280, `${CARDS}:nth-of-type(2)`)
  await page.mouse.click(second.left + second.width - 4, second.top + 6)
  await opacity.fill('90')
  await opacity.press('Enter')
  await expect.poll(shown).toEqual(['0.4', '0.9', '0.4'])
  await opacity.blur()
  await page.keyboard.press('Control+a')
  await expect(tray.getByRole('heading', { name: '4 blocks' })).toBeVisible()
  await expect(opacity).toHaveValue('')
  await expect(opacity).toHaveAttribute('placeholder', 'mixed')
  await page.keyboard.press('Control+z')
  await expect.poll(shown).toEqual(['0.4', '0.4', '0.4'])
  await page.keyboard.press('Control+z')
  await expect.poll(shown).toEqual(['1', '1', '1'])
  await saved(page)
})

test('blocks are shared out, repeated, wrapped and dragged together', async ({ page }) => {
  const tray = page.getByRole('region', { name: 'Tray' })
  const order = page.getByRole('complementary', { name: 'Running order' })
  const cards = order.getByRole('button', { name: /^Reason 4 col/ })
  await middleClick(page, `${CARDS}:nth-of-type(1)`)
  // One more of them, along the row: four of three columns each.
  await tray.getByRole('button', { name: 'Repeat …' }).click()
  await page.getByRole('textbox', { name: 'Copies' }).fill('1')
  await page.getByRole('textbox', { name: 'Copies' }).press('Enter')
  await page.getByRole('button', { name: 'Make 1 copy' }).click()
  await expect(cards).toHaveCount(4)
  await page.keyboard.press('Shift+k')
  await expect(tray.getByRole('heading', { name: /\d+ blocks/ })).toBeVisible()
  await cards.nth(0).click()
  for (const n of [1, 2, 3]) await cards.nth(n).click({ modifiers: ['Shift'] })
  await tray.getByRole('button', { name: 'Share out the columns' }).click()
  await expect
    .poll(async () => (await boxesInView(page, 1280, CARDS)).map(({ left, width }) => [Math.round(left), Math.round(width)]))
    // 1120 px, twelve columns with gutters of 24 px: three of them are 262 px.
    .toEqual([80, 366, 652, 938].map((left) => [left, 262]))

  // The last two go in front of the first, as they are selected.
  const named = () => page.frameLocator('[data-view="1280"] iframe').locator(`${CARDS} > h3`).allInnerTexts()
  const before = await named()
  const group = order.getByRole('button', { name: /^Reason 3 col/ })
  await group.nth(2).click()
  await group.nth(3).click({ modifiers: ['Shift'] })
  await reveal(page, 1280, '#reasons')
  const held = await onScreen(page, 1280, `${CARDS}:nth-of-type(3) > p`)
  const goal = await onScreen(page, 1280, `${CARDS}:nth-of-type(1)`)
  await page.mouse.move(middle(held).x, middle(held).y)
  await page.mouse.down()
  // Near the edge of a card it is stood beside, not put into.
  await page.mouse.move(goal.left + 4, goal.top + goal.height / 2, { steps: 10 })
  await expect(page.locator('[data-drop-line]')).toBeVisible()
  await page.mouse.up()
  await expect.poll(named).toEqual([before[2], before[3], before[0], before[1]])

  // A group around both, and away again.
  await page.keyboard.press('Control+g')
  await expect(page.frameLocator('[data-view="1280"] iframe').locator(`${CARDS} > div`)).toHaveCount(2)
  await page.keyboard.press('Control+Shift+g')
  await expect(page.frameLocator('[data-view="1280"] iframe').locator(`${CARDS} > div`)).toHaveCount(0)
  await expect.poll(named).toEqual([before[2], before[3], before[0], before[1]])
  await saved(page)
})

test('a style is picked up and put on what is pressed, and words or style alone are pasted', async ({ page }) => {
  const view = page.frameLocator('[data-view="1280"] iframe')
  const opacities = () => view.locator(`${CARDS} > h3`).evaluateAll((all) => all.map((one) => getComputedStyle(one).opacity))
  await middleClick(page, `${CARDS}:nth-of-type(1) > h3`)
  const opacity = page.getByRole('textbox', { name: 'Opacity', exact: true })
  await opacity.fill('60')
  await opacity.press('Enter')
  await opacity.blur()
  await page.keyboard.press('y')
  const banner = page.getByRole('status').filter({ hasText: 'The style of Heading is picked up.' })
  await expect(banner).toBeVisible()
  // It lies in front of all else, and what a press will hit is named at the pointer.
  const over = middle(await inWindow(banner))
  expect(await banner.evaluate((one, { x, y }) => one.contains(document.elementFromPoint(x, y)), over)).toBe(true)
  const second = middle(await onScreen(page, 1280, `${CARDS}:nth-of-type(2) > h3`))
  await page.mouse.move(second.x, second.y)
  await expect(page.getByText('Put on Heading')).toBeVisible()
  await middleClick(page, `${CARDS}:nth-of-type(2) > h3`)
  await expect.poll(opacities).toEqual(['0.6', '0.6', '1'])
  // From anywhere: in a field, the first Escape puts the style down and leaves the field alone.
  await opacity.focus()
  await page.keyboard.press('Escape')
  await expect(banner).toBeHidden()
  await expect(opacity).toBeFocused()
  await opacity.blur()

  await page.keyboard.press('Control+c')
  await middleClick(page, `${CARDS}:nth-of-type(3) > h3`)
  await page.keyboard.press('Alt+s')
  await expect.poll(opacities).toEqual(['0.6', '0.6', '0.6'])
  await page.keyboard.press('Alt+w')
  const names = await view.locator(`${CARDS} > h3`).allInnerTexts()
  expect(names[2]).toBe(names[0])
  await saved(page)
})

async function middleClick(page: import('@playwright/test').Page, selector: string) {
  const box = await onScreen(page, 1280, selector)
  // Groups are pressed where nothing stands in them.
  const at = selector.endsWith(')') ? { x: box.left + box.width - 4, y: box.top + 6 } : middle(box)
  await page.mouse.click(at.x, at.y)
}
