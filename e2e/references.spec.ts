import type { Page } from '@playwright/test'
import { expect, openScreen, openSite, saved, test } from './application'

const openStep = async (page: Page, url: string, name: string) => {
  await openScreen(page, { url }, 'Hollin Ridge Observatory', name.toLowerCase())
}

test('the board takes pictures of the library, a palette and a picked colour; cards snap, group and move together', async ({
  page,
  app,
}) => {
  await openStep(page, app.url, 'References')
  const cards = page.locator('[data-card]')
  await expect(page.locator('[data-card=type]')).toBeVisible()
  const count = await cards.count()
  await page.getByLabel('Find pictures by words').fill('evening sea')
  await expect(page.getByRole('button', { name: 'Sea at evening' })).toBeVisible()
  await expect(page.locator('[aria-label="Picture library"] li')).toHaveCount(1)
  await page.getByRole('button', { name: 'Sea at evening' }).click()
  await expect(cards).toHaveCount(count + 1)

  const sea = page.locator('[data-card=picture]').last().getByRole('button')
  await sea.click()
  await page.getByLabel('Colours in the palette').fill('4')
  await page.getByLabel('Colours in the palette').press('Enter')
  await expect(page.locator('[data-palette] li')).toHaveCount(4)
  const palette = await page.locator('[data-palette]').innerText()
  expect(palette).toMatch(/#[0-9A-F]{6}/)
  await page.getByRole('button', { name: 'Put the palette on the board' }).click()
  await expect(cards).toHaveCount(count + 5)

  await page.getByRole('button', { name: 'Pick a colour from it' }).click()
  await page.locator('[data-dropper]').click({ position: { x: 100, y: 20 } })
  await expect(cards).toHaveCount(count + 6)
  await expect(page.locator('[data-card=colour]').last()).toContainText(/#[0-9A-F]{6}/)

  // The new note is dragged to within reach of another card's edge, and snaps to it.
  await page.getByRole('button', { name: 'Note', exact: true }).click()
  await page.getByLabel('Note', { exact: true }).fill('As warm as this')
  const note = page.locator('[data-card=note]').last()
  const from = (await note.boundingBox())!
  const goal = (await page.locator('[data-card=picture]').first().boundingBox())!
  await page.mouse.move(from.x + 20, from.y + 20)
  await page.mouse.down()
  await page.mouse.move(goal.x + 20 + 4, goal.y + goal.height + 150, { steps: 6 })
  await page.mouse.up()
  expect((await note.boundingBox())!.x).toBeCloseTo(goal.x, 0)

  await note.getByRole('button').click()
  await page
    .locator('[data-card=type]')
    .first()
    .getByRole('button')
    .click({ modifiers: ['Shift'] })
  await page.getByRole('button', { name: 'Group', exact: true }).click()
  const type = page.locator('[data-card=type]').first()
  const before = (await type.boundingBox())!
  await page.keyboard.press('Escape')
  await note.getByRole('button').click()
  await page.keyboard.press('ArrowRight')
  expect((await type.boundingBox())!.x).toBeCloseTo(before.x + 8, 0)
  await page.keyboard.press('Delete')
  await expect(page.locator('[data-card=note]')).toHaveCount(1)
  await saved(page)
})

test('a form is filled in on the played page, confirmed on the same site, and its entry is in the inbox', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  await page.getByRole('button', { name: 'Autumn nights' }).click()
  await page.getByRole('menuitem', { name: 'Winter sky chart', exact: true }).click()
  await expect(page.frameLocator('[data-view="1280"] iframe').locator('h1')).toContainText('cold fingers')
  await page.getByRole('link', { name: 'Play page' }).click()
  await page.waitForURL(/play/)
  const visited = page.frameLocator('iframe[src^="/visit/"]')
  await visited.getByLabel('Mail address').fill('ada@hollinridge.example')
  await visited.getByRole('button', { name: 'Send me the chart' }).click()
  await expect(visited.locator('h1')).toHaveText('The chart is on its way')
  await page.goto(page.url().replace('/play', '/inbox'))
  await expect(page.getByText('A stand-in on this machine for a mail service')).toBeVisible()
  await expect(page.getByText('ada@hollinridge.example')).toBeVisible()
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('Nothing has arrived yet')).toBeVisible()
})

test('pages are ordered, renamed and left out of navigation that follows them; links follow an address', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const view = page.frameLocator('[data-view="1280"] iframe')
  await page
    .getByRole('complementary', { name: 'Running order' })
    .getByRole('button', { name: /^01 Header/ })
    .click()
  await page.keyboard.press('s')
  await page.locator('[data-arrangement=header-bar]').click()
  // A header's own links stay in its nav, until it is told to follow the pages.
  await expect(view.locator('header nav a')).toHaveText(['Why come', 'How a night goes', 'What you see', 'Log book'])
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: /^Nav/ }).click()
  await page.getByRole('button', { name: 'The pages', exact: true }).click()
  await expect(view.locator('header nav a')).toHaveText(['Autumn nights', 'Winter sky chart', 'The instruments'])

  await page.getByRole('button', { name: 'Autumn nights', exact: true }).click()
  await page.getByRole('menuitem', { name: 'All pages …' }).click()
  const dialog = page.getByRole('dialog', { name: 'Pages' })
  await dialog.getByRole('button', { name: 'Move Winter sky chart up' }).click()
  await expect(view.locator('header nav a')).toHaveText(['Winter sky chart', 'Autumn nights', 'The instruments'])
  await dialog.getByLabel('Name of page 1').fill('Winter sky')
  await dialog.getByLabel('Name of page 1').press('Enter')
  await expect(view.locator('header nav a')).toHaveText(['Winter sky', 'Autumn nights', 'The instruments'])
  await dialog.getByLabel('Address of Winter sky', { exact: true }).fill('Winter & frost')
  await dialog.getByLabel('Address of Winter sky', { exact: true }).press('Enter')
  await expect(dialog.getByLabel('Address of Winter sky', { exact: true })).toHaveValue('winter-frost')
  await dialog
    .getByRole('listitem')
    .filter({ has: page.getByLabel('Name of page 1') })
    .getByLabel('In navigation')
    .uncheck()
  await expect(view.locator('header nav a')).toHaveText(['Autumn nights', 'The instruments'])
  await expect(dialog.getByText('Every link of the site leads to a place that exists.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Delete Winter sky chart: thank you' }).click()
  await expect(dialog.getByText(/leads to a page or section that is gone/)).toBeVisible()
  await page.keyboard.press('Escape')
  await saved(page)
})
