import type { Page } from '@playwright/test'
import { runs } from '#core/values/runs.fixture'
import { expect, openScreen, openSite, saved, test, visitOf } from './application'
import { seriousOn } from './axe'
import { designer } from './designer'
import { readAlong } from './scrolled'
import { press } from './views'

const SITE = 'Hollin Ridge Observatory'

/** At how many positions they are looked at, down and up again. */
const STEPS = runs(6, 20)

/** How the three that move look on a visited page at some scroll positions. */
const seenAlong = (page: Page, positions: readonly number[]) =>
  readAlong(page, positions, () => {
    const style = (selector: string) => getComputedStyle(document.querySelector(selector)!)
    const { translate } = style('.opening-picture')
    const { scale } = style('h1')
    return {
      heading: scale === 'none' ? 1 : Number(scale),
      picture: translate === 'none' ? 0 : parseFloat(translate.split(' ')[1] ?? '0'),
      passage: Number(style('.reasons-heading').opacity),
    }
  })

test('a heading grows, a picture overtakes the page and a passage comes and goes, as set, in the views and for visitors', async ({
  page,
  app,
  context,
}) => {
  await openSite(page, app, SITE)
  const { choose, figure, tray, order } = designer(page)
  const h1 = page.locator('[data-view="1280"] iframe').contentFrame().locator('h1')
  await press(page, 1280, 'h1')
  await page.keyboard.press('j')
  const ruler = page.locator('[data-scroll-ruler]')
  await expect(ruler).toBeVisible()
  await choose('Add a motion', 'Scrub')
  await figure('Ends', '600')
  await figure('Scale, to', '2')
  await choose('Grows and turns about', 'its left')
  await order.getByText('Picture', { exact: true }).first().click()
  await figure('Speed of parallax', '150')
  await expect(tray.getByText(/^Travels −\d/)).toBeVisible()
  await press(page, 1280, '.reasons-heading')
  await choose('Add a motion', 'Reveal')
  await choose('How often it plays', 'Each time, both ways')
  await choose('What passes the line', '03 Reasons')
  await figure('Line of the window', '50')

  // The playhead shows the page at its scroll, in every view and without a script in it.
  const handle = page.getByRole('slider', { name: 'Playhead' })
  await handle.focus()
  for (let n = 0; n < 3; n++) await page.keyboard.press('Shift+ArrowDown')
  await expect(handle).toHaveAttribute('aria-valuenow', '300')
  await expect.poll(() => h1.evaluate((element) => getComputedStyle(element).scale)).toBe('1.5')
  for (const width of [768, 375])
    await expect
      .poll(() =>
        page
          .locator(`[data-view="${width}"] iframe`)
          .contentFrame()
          .locator('h1')
          .evaluate((element) => Number(getComputedStyle(element).scale)),
      )
      .toBeGreaterThan(1.1)
  expect(await seriousOn(page)).toEqual([])
  await page.getByRole('button', { name: 'Show the views at rest' }).click()
  await expect.poll(() => h1.evaluate((element) => getComputedStyle(element).scale)).toBe('none')

  await saved(page)
  const base = `${app.url}/visit/${/sites\/([\w-]+)/.exec(page.url())![1]}/index.html`
  const visitor = await context.newPage()
  const wrong: string[] = []
  for (const window of [
    { width: 1280, height: 800 },
    { width: 768, height: 1024 },
  ]) {
    await visitor.setViewportSize(window)
    await visitor.goto(`${base}?engine=calm`)
    const top = await visitor.evaluate(() => document.querySelector('#reasons')!.getBoundingClientRect().top)
    const passes = top - window.height / 2
    for (const [engine, timelines] of [
      ['', true],
      ['?engine=plain', false],
    ] as const) {
      await visitor.goto(base + engine)
      const steps = Array.from({ length: STEPS }, (_, i) => i * (1200 / STEPS))
      const way = [...steps, ...[...steps].reverse()]
      for (const [n, seen] of (await seenAlong(visitor, way)).entries()) {
        const scroll = way[n]!
        const wanted = {
          heading: timelines ? 1 + Math.min(1, scroll / 600) : 1,
          picture: timelines ? -0.5 * scroll : 0,
          passage: scroll >= passes ? 1 : 0,
        }
        for (const name of ['heading', 'picture', 'passage'] as const)
          if (Math.abs(seen[name] - wanted[name]) > (name === 'picture' ? 0.5 : 0.01))
            wrong.push(`${name} at ${scroll} in ${window.width}${engine}: ${seen[name]}, not ${wanted[name]}`)
      }
    }
  }
  expect(wrong).toEqual([])
  await visitor.emulateMedia({ reducedMotion: 'reduce' })
  await visitor.goto(base)
  expect(await seenAlong(visitor, [120])).toEqual([{ heading: 1, picture: 0, passage: 1 }])
  await visitor.close()
})

test('an end of a bar is dragged in one step, and a range of nothing is said', async ({ page, app }) => {
  await openSite(page, app, SITE)
  const { choose, tray, figure } = designer(page)
  await press(page, 1280, 'h1')
  await page.keyboard.press('j')
  await choose('Add a motion', 'Scrub')
  const ends = tray.getByRole('textbox', { name: 'Ends', exact: true })
  await expect(ends).toHaveValue('400')
  const end = page.getByRole('slider', { name: /^Ends: scrub/ })
  const box = (await end.boundingBox())!
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x, from.y + 40, { steps: 5 })
  await page.mouse.up()
  await expect(ends).not.toHaveValue('400')
  await page.keyboard.press('Control+z')
  await expect(ends).toHaveValue('400')
  await figure('Begins', '500')
  await expect(tray.getByText(/ends at 400 px, and begins at 500 px/)).toBeVisible()
  await expect(page.locator('[data-bar]', { hasText: 'scrub' })).toHaveCount(0)
})

test('states stand side by side, and a visitor brings them about', async ({ page, app, context }) => {
  await openSite(page, app, SITE)
  const { tray, figure } = designer(page)
  await press(page, 1280, '.opening-button, section a[class*="button"]')
  await tray.getByRole('tab', { name: 'States' }).click()
  await tray.getByRole('button', { name: 'Hover', exact: true }).click()
  const strip = page.getByRole('group', { name: 'States of Button' })
  await expect(strip.getByRole('button')).toHaveText([/^At rest/, /^Hover/, /^Focus/, /^Pressed/])
  await figure('Lift', '8')
  await figure('How long the change takes', '50')
  expect(await seriousOn(page)).toEqual([])
  await saved(page)
  const visitor = await context.newPage()
  await visitor.goto(`${app.url}/visit/${/sites\/([\w-]+)/.exec(page.url())![1]}/index.html`)
  const button = visitor.locator('#opening a')
  const lifted = () => button.evaluate((element) => getComputedStyle(element).translate)
  expect(await lifted()).toBe('none')
  await button.hover()
  await expect.poll(lifted).toBe('0px -8px')
  await visitor.mouse.move(5, 5)
  await expect.poll(lifted).toBe('none')
  await visitor.close()
})

test('a page plays for those who want no motion, without a script, in an older engine, and slowly', async ({ page, app }) => {
  await openScreen(page, app, SITE, 'play')
  const frame = page.frameLocator('iframe[title^="Autumn nights at"]')
  await frame.locator('h1').waitFor()
  const status = page.locator('[data-watched]')
  await expect(status).toHaveText(/^0 px/)
  await page.mouse.move(640, 500)
  // A turn of the wheel is lost while the browser does not know yet what lies under the pointer.
  await expect(async () => {
    await page.mouse.wheel(0, 600)
    await expect(status).toHaveText(/[1-9]\d* px · \d+ of [1-9]\d* frames late/, { timeout: 3000 })
  }).toPass()
  await expect(page.locator('[data-played-ruler]')).toBeVisible()
  await expect(page.locator('[data-played-lines]')).toContainText('80 %')
  const choose = async (name: string) => {
    await page.getByRole('combobox', { name: 'Motion: what the page is played for' }).click()
    await page.getByRole('option', { name }).click()
    await frame.locator('h1').waitFor()
  }
  const quote = () =>
    frame
      .locator('.log-book-eyebrow, #log-book p')
      .first()
      .evaluate((element) => getComputedStyle(element).opacity)
  await choose('Reduced motion')
  expect(await quote()).toBe('1')
  await choose('Older engine')
  await expect.poll(quote).toBe('0')
  await choose('No script')
  await expect(status).toHaveText('Nothing is measured without a script')
  await choose('As it is')
  await page.getByRole('combobox', { name: 'Speed of what plays by itself' }).click()
  await page.getByRole('option', { name: '10 %' }).click()
  await expect(status).toHaveText(/^0 px/)
  expect(await seriousOn(page)).toEqual([])
})

test('nothing on the page shifts while it is scrolled to its end and back', async ({ page, app }) => {
  await page.goto(`${visitOf(app, SITE)}/index.html`)
  const shifts = await page.evaluate(async () => {
    // Faces are asked for once the page is laid out; those that come while it is scrolled would be taken for what scrolls.
    document.body.getBoundingClientRect()
    await document.fonts.ready
    const frame = () => new Promise((done) => requestAnimationFrame(done))
    await frame()
    await frame()
    const seen: string[] = []
    const look = (list: PerformanceEntryList) => {
      for (const one of list as (PerformanceEntry & { value: number; sources: { node?: Node }[] })[])
        seen.push(`${one.value.toFixed(4)} of ${one.sources.map(({ node }) => node?.nodeName).join(', ')} at ${scrollY}`)
    }
    const watch = new PerformanceObserver((list) => look(list.getEntries()))
    watch.observe({ type: 'layout-shift' })
    const end = document.documentElement.scrollHeight - innerHeight
    for (const way of [1, -1])
      for (let px = 0; px <= end; px += 120) {
        scrollTo(0, way === 1 ? px : end - px)
        await frame()
      }
    look(watch.takeRecords())
    return seen
  })
  expect(shifts).toEqual([])
})
