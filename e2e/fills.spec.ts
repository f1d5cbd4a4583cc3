import { newBlock } from '#core/blocks/defaults'
import type { Block } from '#core/blocks/index'
import { section, siteOf } from '#core/site/made.fixture'
import { testIds } from '#core/values/ids.fixture'
import { pixels } from '#core/values/length'
import { composed, expect, openSite, saved, test } from './application'
import { designer } from './designer'
import { keep, openBare } from './sweep.fixture'
import { inWindow, middle, onScreen, press } from './views'

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

test('corners of a drawing and of what a block is cut to are dragged where they stand, and moved by arrow keys', async ({
  page,
  app,
}) => {
  const points = [
    { x: 20, y: 10 },
    { x: 180, y: 30 },
    { x: 100, y: 140 },
  ]
  // Stretched: the corner goes where the pointer goes all the same.
  const drawing = {
    ...newBlock('shape', testIds()),
    id: 'drawing',
    parts: [{ points, radius: 0, fill: { role: 'accent' } }],
    style: { base: { span: 6, height: pixels(300) } },
  } as Block
  const cut = {
    ...newBlock('picture', testIds()),
    id: 'cut',
    style: {
      base: { height: pixels(200), frame: { shape: 'polygon', points: [points[0]!, { x: 90, y: 20 }, { x: 50, y: 80 }] } },
    },
  } as Block
  const site = { ...siteOf('Corners', [section('Plan', [drawing, cut])]), views: [1280] }
  await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/compose`, { waitUntil: 'commit' })
  await composed(page)
  await press(page, 1280, '[data-block="drawing"] path')

  const first = page.getByRole('button', { name: /^Point 1 of the shape/ })
  await expect(first).toHaveAccessibleName('Point 1 of the shape, 20 across, 10 down')
  /** Where the first corner of the drawing is painted, px of the screen. */
  const painted = () =>
    page.locator('[data-view="1280"] iframe').evaluate((element) => {
      const frame = element as HTMLIFrameElement
      const path = frame.contentDocument!.querySelector<SVGPathElement>('[data-block="drawing"] path')!
      const { x, y } = path.getPointAtLength(0).matrixTransform(path.getScreenCTM()!)
      const box = frame.getBoundingClientRect()
      const scale = box.width / 1280
      return { x: box.left + x * scale, y: box.top + y * scale }
    })
  const held = middle(await inWindow(first))
  expect(await painted()).toEqual({ x: expect.closeTo(held.x, 0), y: expect.closeTo(held.y, 0) })
  await page.mouse.move(held.x, held.y)
  await page.mouse.down()
  await page.mouse.move(held.x + 40, held.y + 25, { steps: 4 })
  await page.mouse.up()
  expect(await painted()).toEqual({ x: expect.closeTo(held.x + 40, 0), y: expect.closeTo(held.y + 25, 0) })
  // A drag is one step of undo, and so are presses that follow each other.
  await page.keyboard.press('Control+z')
  await expect(first).toHaveAccessibleName('Point 1 of the shape, 20 across, 10 down')
  await first.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Shift+ArrowDown')
  await expect(first).toHaveAccessibleName('Point 1 of the shape, 21 across, 20 down')
  await page.keyboard.press('Control+z')
  await expect(first).toHaveAccessibleName('Point 1 of the shape, 20 across, 10 down')

  await press(page, 1280, '[data-block="cut"]')
  const corner = page.getByRole('button', { name: 'Point 3 of the polygon, 50 % across, 80 % down' })
  const from = middle(await inWindow(corner))
  const box = await onScreen(page, 1280, '[data-block="cut"]')
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  // Beyond the box it goes no further than its edge.
  await page.mouse.move(from.x + box.width * 0.1, from.y + box.height, { steps: 4 })
  await page.mouse.up()
  await expect(
    page.getByRole('button', { name: /^Point 3 of the polygon, (59\.\d|60(\.\d)?) % across, 100 % down$/ }),
  ).toBeVisible()
  await saved(page)
})
