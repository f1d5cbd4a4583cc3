import type { Page } from '@playwright/test'
import { expect, openSite, saved, test } from './application'
import { seriousOn } from './axe'
import { designer } from './designer'
import { openBare } from './sweep.fixture'
import { press } from './views'

const LOGOS = ['Ashby Trust', 'Dark Skies Fund', 'Hollin Parish', 'Moor Rail', 'Lamp and Lens']

/** How a part of a visited page looks at each of some frames, after a scroll if one is asked for. */
const over = (page: Page, selector: string, property: string, frames: number, scroll?: number) =>
  page.evaluate(
    async ([of, name, count, to]) => {
      if (to !== undefined) scrollTo(0, to)
      const one = document.querySelector(of)!
      const seen: string[] = []
      for (let n = 0; n < count; n++) {
        seen.push(getComputedStyle(one).getPropertyValue(name))
        await new Promise((done) => requestAnimationFrame(done))
      }
      return seen
    },
    [selector, property, frames, scroll] as const,
  )

test('a gradient of the guide’s colours moves, a strip passes, and both are paused without a script', async ({
  page,
  app,
  browser,
}) => {
  await openBare(page, app)
  const { section, block, words, figure, choose, out, tray } = designer(page)
  await section('Proof')
  await block('Group')
  await choose('Layout', 'Row')
  await figure('Gap across', '40')
  for (const logo of LOGOS) {
    await words('Text', logo)
    await out()
  }
  await page.keyboard.press('j')
  await choose('Add a motion', 'Strip')
  await figure('Seconds until all have passed', '20')
  await out()
  await choose('Add a motion', 'Loop')
  await figure('Seconds of one way', '1')
  await choose('Move a colour of the guide', 'ink')
  await tray.getByRole('button', { name: /^Colour ink, / }).click()
  await page.getByRole('button', { name: 'link', exact: true }).click()
  await page.keyboard.press('Escape')
  expect(await seriousOn(page)).toEqual([])
  await saved(page)
  const url = `${app.url}/visit/${/sites\/([\w-]+)/.exec(page.url())![1]}/index.html`

  const context = await browser.newContext()
  const visitor = await context.newPage()
  await visitor.goto(url)
  const runs = visitor.locator('.turn')
  await runs.first().evaluate((one) => one.scrollIntoView({ block: 'center' }))
  await expect(runs).toHaveCount(2)
  // The copy follows the first at the gap that its blocks have, so that no end is seen; where they stand apart from what moves them.
  const boxes = await runs.evaluateAll((all) =>
    (all as HTMLElement[]).map(({ offsetLeft, offsetWidth }) => ({ left: offsetLeft, right: offsetLeft + offsetWidth })),
  )
  expect(Math.abs(boxes[1]!.left - boxes[0]!.right - 40)).toBeLessThanOrEqual(1)
  const whole = await visitor.locator('.run').evaluate((one) => one.parentElement!.clientWidth)
  for (const { left, right } of boxes) expect(right - left).toBeGreaterThanOrEqual(whole - 1)
  const ways = await over(visitor, '.run', 'translate', 12)
  expect(new Set(ways).size).toBeGreaterThan(4)
  const colours = await over(visitor, ':has(> .pause)', 'color', 60)
  expect(new Set(colours).size).toBeGreaterThan(10)
  await expect(visitor.getByText(LOGOS[0]!)).toHaveCount(2)
  await expect(visitor.getByRole('paragraph').filter({ hasText: LOGOS[0]! })).toHaveCount(1)

  // By the keyboard, and seen where it is.
  const pause = visitor.getByRole('checkbox', { name: 'Pause' })
  await pause.focus()
  await visitor.keyboard.press('Space')
  await expect(pause).toBeChecked()
  for (const [selector, property] of [
    ['.run', 'translate'],
    [':has(> .pause)', 'color'],
  ] as const)
    expect(new Set((await over(visitor, selector, property, 12)).slice(2)).size).toBe(1)
  expect(await seriousOn(visitor)).toEqual([])

  await visitor.emulateMedia({ reducedMotion: 'reduce' })
  await expect(runs.nth(1)).toBeHidden()
  await expect(visitor.locator('.pause')).toBeHidden()
  expect(await visitor.locator('.run').evaluate((one) => getComputedStyle(one).animationName)).toBe('none')
  await context.close()

  const plain = await browser.newContext({ javaScriptEnabled: false })
  const still = await plain.newPage()
  await still.goto(url)
  await still.getByRole('checkbox', { name: 'Pause' }).check({ force: true })
  await expect(still.locator('.pause')).toBeVisible()
  await plain.close()
})

test('a scrub comes after the scroll by its time, and gets to the same place', async ({ page, app, context }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const { figure, choose } = designer(page)
  await press(page, 1280, 'h1')
  await page.keyboard.press('j')
  await choose('Add a motion', 'Scrub')
  await figure('Ends', '600')
  await figure('Scale, to', '2')
  await figure('Time to catch up with the scroll', '300')
  await saved(page)
  const visitor = await context.newPage()
  await visitor.goto(`${app.url}/visit/${/sites\/([\w-]+)/.exec(page.url())![1]}/index.html`)
  const scale = () => visitor.locator('h1').evaluate((one) => Number(getComputedStyle(one).scale))
  expect(await scale()).toBe(1)
  const seen = (await over(visitor, 'h1', 'scale', 40, 300)).map(Number)
  expect(seen.some((one) => one > 1.02 && one < 1.48)).toBe(true)
  for (let n = 1; n < seen.length; n++) expect(seen[n]).toBeGreaterThanOrEqual(seen[n - 1]!)
  await expect.poll(scale).toBe(1.5)
  await visitor.evaluate(() => scrollTo(0, 0))
  await expect.poll(scale).toBe(1)
  await visitor.emulateMedia({ reducedMotion: 'reduce' })
  await visitor.evaluate(() => scrollTo(0, 300))
  expect(await visitor.locator('h1').evaluate((one) => getComputedStyle(one).scale)).toBe('none')
  await visitor.close()
})
