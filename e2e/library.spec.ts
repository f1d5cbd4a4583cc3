import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { seriousOn } from './axe'
import { expect, openSite, saved, test } from './application'
import { designer } from './designer'

const plain = (width: number, height: number, background: string) =>
  sharp({ create: { width, height, channels: 3, background } })
    .jpeg()
    .toBuffer()
const file = (name: string, buffer: Buffer) => ({ name, mimeType: 'image/jpeg', buffer })

const open = async (page: Page) => {
  await page.keyboard.press('i')
  const dialog = page.getByRole('dialog', { name: 'Pictures' })
  await expect(dialog).toBeVisible()
  return dialog
}

test('pictures are sent many at once, tagged, found, given what every crop keeps, and replaced wherever they are', async ({
  page,
  app,
}) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const dialog = await open(page)
  const files = await Promise.all(
    Array.from({ length: 12 }, async (_, i) => file(`view-${i}.jpg`, await plain(600 + i, 400, `rgb(${i * 20}, 90, 120)`))),
  )
  await dialog
    .getByLabel('Upload pictures', { exact: true })
    .setInputFiles([...files, file('broken.jpg', Buffer.from('no picture at all'))])
  const status = dialog.getByRole('status')
  await expect(status).toContainText('13 of 13, 1 refused')
  await expect(status).toContainText('"broken.jpg" is not a JPEG')
  const list = dialog.getByRole('list', { name: 'Pictures', exact: true })
  await expect(list.getByRole('button', { name: /view-/ })).toHaveCount(12)

  // What is known of it, its tags, and the search for them.
  await list.getByRole('button', { name: /view-3/ }).click()
  await expect(dialog.getByText('603 × 400 px, 0.2 MP')).toBeVisible()
  await expect(dialog.getByText(/^sRGB, 8 bits/)).toBeVisible()
  await expect(dialog.getByRole('list', { name: 'Dominant colours' }).getByRole('listitem').first()).toBeAttached()
  const tags = dialog.getByLabel('Tags')
  await tags.fill('Mist, ridge')
  await tags.press('Enter')
  await dialog.getByLabel('Find pictures by name and tag').fill('mist')
  await expect(list.getByRole('button')).toHaveCount(1)
  await dialog.getByLabel('Find pictures by name and tag').fill('')

  // A press sets the focal point, a drag the safe area, arrow keys move the point.
  const areas = dialog.getByRole('application')
  const box = (await areas.boundingBox())!
  await page.mouse.click(box.x + box.width * 0.25, box.y + box.height * 0.5)
  await expect(areas).toHaveAccessibleName(/Focal point 25(\.\d)? % across and 50(\.\d)? % down/)
  await areas.press('ArrowRight')
  await expect(areas).toHaveAccessibleName(/Focal point 27(\.\d)? % across/)
  await page.mouse.move(box.x + box.width * 0.1, box.y + box.height * 0.2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.6, box.y + box.height * 0.8, { steps: 4 })
  await page.mouse.up()
  await expect(dialog.getByText(/safe area 50 × 60 %/)).toBeVisible()

  expect(await seriousOn(page)).toEqual([])

  // Unused ones can be taken out; one that is used says where, and is replaced there.
  await dialog.getByRole('tab', { name: /^Unused/ }).click()
  await list.getByRole('button', { name: /view-5/ }).click()
  await dialog.getByRole('button', { name: 'Take it out of the site' }).click()
  await expect(list.getByRole('button', { name: /view-5/ })).toHaveCount(0)
  await dialog.getByRole('tab', { name: /^Used/ }).click()
  await list.getByRole('button', { name: /ridge-at-dusk/ }).click()
  await expect(dialog.getByRole('button', { name: 'Autumn nights: Opening, Picture' })).toBeVisible()
  await dialog.getByLabel('Replace the picture everywhere').setInputFiles(file('noon.jpg', await plain(1800, 900, '#e8c070')))
  await expect(dialog.getByText('1800 × 900 px, 1.6 MP')).toBeVisible()
  // What was kept in sight of the old picture is asked about.
  await expect(
    page.getByText(/^Replaced in \d+ places?\. Its focal point (and safe area are|is) the old picture’s\.$/),
  ).toBeVisible()
  await page.keyboard.press('Escape')
  const image = page.locator('[data-view="1280"] iframe').contentFrame().locator('.opening-picture img')
  await expect(image).toHaveAttribute('width', '1800')
  await page.keyboard.press('Control+z')
  await expect(image).toHaveAttribute('width', '2880')
  await saved(page)
})

test('a picture is dragged in its frame, and another takes its place below a breakpoint', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const { section, block, choose, tray } = designer(page)
  await section('Story')
  await block('Picture')
  await choose('Picture of this site', 'the-log-book')
  await choose('Shape', '1 : 1')
  const view = page.locator('[data-view="1280"]')
  const image = view.locator('iframe').contentFrame().locator('[class*="story"][class*="picture"]')
  await expect(image).toBeVisible()
  await tray.getByRole('button', { name: 'Crop in its frame' }).click()
  const crop = view.locator('[data-crop]')
  const box = (await crop.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + 60)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - 40, box.y + 60, { steps: 5 })
  const dragged = await image.evaluate((element) => (element as HTMLElement).style.objectPosition)
  expect(Number.parseFloat(dragged)).toBeGreaterThan(55)
  await page.mouse.up()
  await expect(image).not.toHaveAttribute('style', /object-position/)
  await expect.poll(() => image.evaluate((element) => getComputedStyle(element).objectPosition)).toBe(dragged)
  await page.keyboard.press('c')
  await expect(crop).toHaveCount(0)

  await tray.getByRole('button', { name: 'Turn by a quarter' }).click()
  await expect(image).toHaveAttribute('width', '1600')
  await tray.getByRole('button', { name: /^Below 640/ }).click()
  await choose('Picture in this range', 'moon')
  await saved(page)
  const id = /sites\/([\w-]{10})/.exec(page.url())![1]!
  const visit = await page.context().newPage()
  const shown = async (width: number) => {
    await visit.setViewportSize({ width, height: 800 })
    await visit.goto(`${app.url}/visit/${id}/index.html#story`)
    const found = visit.locator('#story img')
    await found.scrollIntoViewIfNeeded()
    return found.evaluate(async (element) => {
      await (element as HTMLImageElement).decode()
      return (element as HTMLImageElement).currentSrc
    })
  }
  expect(await shown(1000)).toContain('the-log-book-turned-90-')
  expect(await shown(400)).toContain('moon-turned-90-')
})
