import { expect, openSite, saved, test } from './application'
import { designer } from './designer'
import { openBare } from './sweep.fixture'

test('fills are laid in layers; a handle of a gradient paints by CSS alone, and what it comes to is one step', async ({
  page,
  app,
}) => {
  await openBare(page, app)
  const { section, choose, figure, tray } = designer(page)
  await section('Story')
  await figure('Height, least', '400')
  await choose('Add a fill layer', 'Linear gradient')
  await choose('Add a fill layer', 'Dots')
  const view = page.locator('[data-view="1280"]')
  const story = view.locator('iframe').contentFrame().locator('#story, .story').first()
  const background = () => story.evaluate((element) => getComputedStyle(element).backgroundImage)
  expect(await background()).toMatch(
    /^radial-gradient\(.*linear-gradient\(in oklch|^radial-gradient\(.*linear-gradient\(180deg in oklch/,
  )

  await tray.getByRole('button', { name: 'Linear gradient', exact: true }).click()
  const handle = view.getByRole('button', { name: /^Drag a stop/ }).first()
  const from = (await handle.boundingBox())!
  const before = await background()
  await page.mouse.move(from.x + 8, from.y + 8)
  await page.mouse.down()
  await page.mouse.move(from.x + 200, from.y + 30, { steps: 6 })
  // While it is dragged only the backgrounds of the box are set, and nothing is kept.
  expect(
    await story.evaluate((element) => [...(element as HTMLElement).style].every((name) => name.startsWith('background'))),
  ).toBe(true)
  await expect(tray.getByRole('textbox', { name: 'Angle of the gradient' })).toHaveValue('180')
  await page.mouse.up()
  await expect(tray.getByRole('textbox', { name: 'Angle of the gradient' })).not.toHaveValue('180')
  await expect.poll(() => story.evaluate((element) => (element as HTMLElement).style.length)).toBe(0)
  expect(await background()).not.toBe(before)

  // Layers change places with the keyboard as with the mouse, and undo takes one step for each.
  const grip = tray.getByRole('button', { name: 'Move Dots' })
  await grip.focus()
  await page.keyboard.press('Space')
  await expect(grip).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('ArrowDown')
  // It is let go over the other, not before that is known.
  await expect(
    page.locator('[id^="DndLiveRegion"]').filter({ hasText: /item (\S+) was moved over droppable area (?!\1)/ }),
  ).toHaveCount(1)
  await page.keyboard.press('Space')
  await expect.poll(background).toMatch(/^linear-gradient/)
  await page.keyboard.press('Control+z')
  await expect.poll(background).toMatch(/^radial-gradient/)

  // The edges of the section have a shape, and all of it is in what visitors get.
  await choose('Shape of the bottom edge', 'Ridge')
  await saved(page)
  const id = /sites\/([\w-]{10})/.exec(page.url())![1]!
  const visit = await page.context().newPage()
  await visit.goto(`${app.url}/visit/${id}/index.html`)
  const printed = await visit
    .locator('#story, .story')
    .first()
    .evaluate((element) => ({
      image: getComputedStyle(element).backgroundImage,
      edge: getComputedStyle(element, '::after').maskImage,
    }))
  expect(printed.image).toContain('in oklch')
  expect(printed.edge).toContain('data:image/svg+xml')
})

test('over a gradient words are measured, an ink is tried before it is taken, and heat shows where they could stand', async ({
  page,
  app,
}) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const { section, words, choose, figure, fill, tray } = designer(page)
  await section('Story')
  await figure('Height, least', '400')
  await choose('Add a fill layer', 'Linear gradient')
  await fill('Ink', 'ground')
  await words('Heading', 'Look up from the terrace')
  const finding = tray.getByText(/^Over the picture/)
  await expect(finding).toContainText('3 : 1 is needed')
  await tray.getByRole('button', { name: 'Where could they stand?' }).click()
  // The tray may have put an ink under the pointer meanwhile, which is tried then instead of the heat being shown.
  await page.mouse.move(5, 5)
  const heat = page.locator('[data-view="1280"] [data-heat]')
  await expect(heat).toBeVisible()
  expect(Number(await heat.getAttribute('data-heat'))).toBeLessThan(1)

  const heading = page.locator('[data-view="1280"] iframe').contentFrame().locator('#story :is(h1, h2)').first()
  const colour = () => heading.evaluate((element) => getComputedStyle(element).color)
  const before = 'rgb(255, 255, 255)'
  await expect.poll(colour).toBe(before)
  const repair = tray.getByRole('button', { name: /^Ink / }).first()
  await repair.hover()
  await expect.poll(colour).not.toBe(before)
  const tried = await colour()
  await page.mouse.move(5, 5)
  await expect.poll(colour).toBe(before)
  await repair.click()
  await expect.poll(colour).toBe(tried)
  await expect(finding).not.toContainText('is needed')
})
