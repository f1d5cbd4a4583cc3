import sharp from 'sharp'
import { legibilityOf } from '#core/legibility/legibility'
import type { Motion } from '#core/motion/motion'
import { pixels } from '#core/values/length'
import { section, siteOf, worded } from '#core/site/made.fixture'
import { expect, saved, test } from './application'
import { designer } from './designer'
import { keep, openBare } from './sweep.fixture'

/** A picture of 12 megapixels that is light at its left and dark at its right, with a lighter stripe. */
const light = () =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="4000" height="3000"><defs><linearGradient id="g"><stop stop-color="#d8c9a0"/><stop offset="1" stop-color="#203050"/></linearGradient></defs><rect width="4000" height="3000" fill="url(#g)"/><rect x="0" y="1350" width="4000" height="120" fill="#f4ead0" opacity=".6"/></svg>`,
    ),
  )
    .jpeg({ quality: 92 })
    .toBuffer()

test('words over a picture are measured as Chromium paints it, and the offered scrim is the least that is enough', async ({
  page,
  app,
}) => {
  await openBare(page, app)
  const { section, block, words, figure, choose, fill, out, tray, order } = designer(page)
  await section('Story')
  await figure('Height, least', '500')
  await choose('Across', 'Centre')
  await block('Picture')
  await choose('Stands', 'Behind all')
  await tray.getByLabel('Upload a picture').setInputFiles({ name: 'dusk.jpg', mimeType: 'image/jpeg', buffer: await light() })
  const focal = tray.getByRole('button', { name: /^Focal point/ })
  await focal.focus()
  for (let n = 0; n < 4; n++) await page.keyboard.press('ArrowDown')
  await expect(focal).toHaveAccessibleName(/70 % down/)
  await out()
  await words('Heading', 'Look up from the terrace, where the lamps are out')
  await figure('Columns spanned', '8')
  await fill('Ink', 'ground')

  const finding = tray.getByText(/^Over the picture/)
  const shown = async () => {
    const [, worst, width] = /picture ([\d.]+) : 1 at its worst, at (\d+)/.exec(await finding.innerText())!
    return { worst: Number(worst), width: Number(width) }
  }
  /** The same, out of the pixels of the page as visitors get it, without the words. */
  const painted = async (width: number) => {
    await saved(page)
    const id = /sites\/([\w-]{10})/.exec(page.url())![1]!
    const visit = await page.context().newPage()
    await visit.setViewportSize({ width, height: 900 })
    await visit.goto(`${app.url}/visit/${id}/index.html`)
    await visit.evaluate(() => document.fonts.ready)
    const heading = visit.locator('#story :is(h1, h2)')
    await heading.evaluate((element) => element.scrollIntoView({ block: 'center' }))
    await visit.locator('#story img').evaluate((image) => (image as HTMLImageElement).decode())
    const { box, lines, size } = await heading.evaluate((element) => {
      const range = document.createRange()
      range.selectNodeContents(element)
      const rects = [...range.getClientRects()].map(({ left, top, width: w, height }) => ({ left, top, width: w, height }))
      const { fontSize } = getComputedStyle(element)
      element.style.color = 'transparent'
      const [left, top] = [Math.min(...rects.map((one) => one.left)), Math.min(...rects.map((one) => one.top))]
      const right = Math.max(...rects.map((one) => one.left + one.width))
      const bottom = Math.max(...rects.map((one) => one.top + one.height))
      return {
        box: { x: left, y: top, width: Math.round(right - left), height: Math.round(bottom - top) },
        lines: rects.map((one) => ({ ...one, left: one.left - left, top: one.top - top })),
        size: Number.parseFloat(fontSize),
      }
    })
    const shot = sharp(await visit.screenshot({ clip: box })).ensureAlpha()
    const { data, info } = await shot.raw().toBuffer({ resolveWithObject: true })
    await visit.close()
    const part = { left: 0, top: 0, width: info.width, height: info.height }
    const asked = { pixels: new Uint8ClampedArray(data), part, lines, patch: size * 0.5 }
    return legibilityOf({ ...asked, ink: { r: 255, g: 255, b: 255, a: 1 } })!.worst.ratio
  }
  await expect(finding).toContainText('3 : 1 is needed')
  await expect(page.locator('[data-view="1280"] [data-worst-patch]')).toBeVisible()
  const before = await shown()
  expect(before.worst).toBeLessThan(3)
  expect(Math.abs((await painted(before.width)) - before.worst)).toBeLessThan(0.15)

  await tray.getByRole('button', { name: /^Even scrim of \d+ %$/ }).click()
  await expect(page.locator('[data-worst-patch]')).toHaveCount(0)
  await expect(finding).not.toContainText('is needed')
  const after = await shown()
  expect(after.worst).toBeGreaterThanOrEqual(2.95)
  expect(after.worst).toBeLessThan(3.3)
  expect(Math.abs((await painted(after.width)) - after.worst)).toBeLessThan(0.15)

  // Zoomed, flipped and darkened, it is still measured as it is painted.
  await page.keyboard.press('Control+z')
  await order.getByRole('button', { name: 'Picture', exact: true }).click()
  await figure('Zoom', '160')
  await choose('Flipped', 'Left to right')
  await tray.getByText('Filters').click()
  await figure('Brightness', '70')
  await order.getByRole('button', { name: /^Heading/ }).click()
  await expect(finding).toBeVisible()
  await expect.poll(async () => (await shown()).worst).not.toBe(before.worst)
  await expect
    .poll(async () => {
      const changed = await shown()
      return Math.abs((await painted(changed.width)) - changed.worst)
    })
    .toBeLessThan(0.15)
})

test('words over a gradient are measured at every width, to the px where they can no longer be read', async ({ page, app }) => {
  const stops = ['#101418', '#F4F6F8'].map((hex, n) => ({ at: n * 100, colour: { hex } }))
  const site = siteOf('Dawn', [
    section(
      'dawn',
      [
        worded('text', 'white', 'The sun is up at six and so are we', { ink: { hex: '#FFFFFF' } }),
        worded('text', 'even', 'On even ground', {
          fillLayers: [{ kind: 'flat', colour: { hex: '#101418' } }],
          ink: { hex: '#FFFFFF' },
        }),
      ],
      { fillLayers: [{ kind: 'linear', angle: 90, space: 'srgb', stops }] },
    ),
  ])
  await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/check`)
  await page.getByRole('tab', { name: 'Words over pictures' }).click()
  await expect(page.locator('[data-over]')).toHaveAttribute('data-over', '1', { timeout: 60_000 })
  const found = page.getByRole('region', { name: 'Words over pictures' }).getByRole('list', { name: 'To mend' })
  // On a narrow window the words reach into the light, on a wide one they stay in the dark.
  await expect(found).toContainText(/at 280–\d+ px/)
  await found.getByRole('button', { name: /The sun is up/ }).click()
  await expect(page.locator('[data-worst]')).toHaveAttribute('data-worst', /^(28|29|3)\d+$/)
})

test('words that move, that stay in the window, or that a motion leaves pale are measured along the scroll', async ({
  page,
  app,
}) => {
  const white = { hex: '#FFFFFF' }
  const dark = [{ kind: 'flat' as const, colour: { hex: '#101418' } }]
  const stops = ['#101418', '#F4F6F8'].map((hex, n) => ({ at: n * 100, colour: { hex } }))
  const along = (states: Extract<Motion, { kind: 'scrub' }>['states']): Motion => ({
    kind: 'scrub',
    range: { of: 'own', begins: moment('top', 60), ends: moment('top', 10) },
    states,
  })
  const moment = (edge: 'top', value: number) => ({ edge, line: { value, unit: '%' as const } })
  const room = (height: number) => ({ minHeight: pixels(height) })
  const site = siteOf('Drift', [
    section('bar', [worded('text', 'home', 'Hollin Ridge', { ink: white })], { position: 'sticky', top: pixels(0) }),
    // What has a ground of its own is as it is over all that passes under it.
    section('own', [worded('text', 'solid', 'On its own ground', { ink: white })], {
      ...{ position: 'sticky', top: pixels(240), fill: { hex: '#101418' } },
    }),
    section('first', [worded('text', 'still', 'The dome opens at dusk', { ink: white })], { ...room(1400), fillLayers: dark }),
    section(
      'dawn',
      [
        worded('text', 'sinks', 'The sun is up at six', {
          ink: white,
          motion: [
            along([
              { at: 0, pose: {} },
              { at: 100, pose: { down: { value: 1100, unit: 'px' } } },
            ]),
          ],
        }),
        worded('text', 'comes', 'So are we, and the kettle', {
          ink: white,
          motion: [
            along([
              { at: 0, pose: { opacity: 0 } },
              { at: 100, pose: { opacity: 1 } },
            ]),
          ],
        }),
        worded('text', 'pale', 'Bring a coat', {
          ink: white,
          motion: [
            along([
              { at: 0, pose: {} },
              { at: 50, pose: { opacity: 0.3 } },
              { at: 100, pose: { opacity: 0.3 } },
            ]),
          ],
        }),
      ],
      { ...room(1400), fillLayers: [{ kind: 'linear', angle: 180, space: 'srgb', stops }] },
    ),
    section('last', [worded('text', 'black', 'Until then')], room(1400)),
  ])
  await page.goto(`${keep(app, site)}/pages/${site.pages[0]!.id}/check`)
  await page.getByRole('tab', { name: 'Words over pictures' }).click()
  await expect(page.locator('[data-over]')).toHaveAttribute('data-over', '3', { timeout: 60_000 })
  const part = page.getByRole('region', { name: 'Words over pictures' })
  const found = part.getByRole('list', { name: 'To mend' })
  // Sunk into the light, left pale, and over the white of the last section.
  await expect(found.getByRole('listitem').filter({ hasText: 'The sun is up' })).toContainText(/px down the page/)
  await expect(found.getByRole('listitem').filter({ hasText: 'Bring a coat' })).toContainText('280–2560 px')
  await expect(found.getByRole('listitem').filter({ hasText: 'Hollin Ridge' })).toContainText('has 1.0 : 1')
  // What only comes into sight is read once it is there.
  await expect(part.getByRole('list', { name: 'Can be read' })).toContainText('So are we')
  await expect(part).not.toContainText('On its own ground')
})
