import { chromium } from '@playwright/test'
import { rmSync } from 'node:fs'
import { composed, finish, start, temporaryFolder } from '../e2e/application'
import { CHROMIUM } from '../playwright.config'
import { middleOf, print } from './measure'

const ROUNDS = 60

/** From a change to the frame after it, ms. */
type Times = { ours: number[]; byHand: number[] }

const data = temporaryFolder()
await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
const app = await start(data)
const browser = await chromium.launch(CHROMIUM)
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(app.url)
  await page.getByRole('link', { name: 'Open Hollin Ridge Observatory' }).click()
  await composed(page)
  await page.goto(page.url().replace(/compose.*/, 'style'))
  await page.getByRole('button', { name: 'All widths' }).click()
  await page.locator('[data-role=ink]').click()
  const slider = page.getByRole('slider', { name: 'Hue of ink' })
  const box = (await slider.boundingBox())!
  await page.waitForFunction(() => document.querySelectorAll('section [data-live] iframe').length === 3)

  await page.evaluate(() => {
    const times: Times = { ours: [], byHand: [] }
    Object.assign(window, { times })
    let n = 0
    const painted = (list: number[], from: number) =>
      requestAnimationFrame(() => {
        // A message is handled after the frame has been painted.
        const channel = new MessageChannel()
        channel.port1.onmessage = () => list.push(performance.now() - from)
        channel.port2.postMessage(null)
      })
    // A slider that is dragged tells of each new value by an `input` event.
    document.addEventListener('input', () => painted(times.ours, performance.now()), { capture: true })
    window.addEventListener(
      'keydown',
      (event) => {
        if (event.key !== 'F8') return
        painted(times.byHand, performance.now())
        // The same by hand: one property of each of the three pages. Every colour is a new one, as in a drag.
        const colour = `#1a${(n++ + 16).toString(16)}2e`
        for (const frame of document.querySelectorAll<HTMLIFrameElement>('iframe[data-direction]'))
          frame.contentDocument!.documentElement.style.setProperty('--ink', colour)
      },
      { capture: true },
    )
  })
  const counted = (list: keyof Times, count: number) =>
    page.waitForFunction(
      ([name, wanted]) => (window as unknown as { times: Times }).times[name as 'ours'].length >= Number(wanted),
      [list, count] as const,
    )
  for (let i = 1; i <= ROUNDS; i++) {
    await page.keyboard.press('F8')
    await counted('byHand', i)
  }
  await page.mouse.move(box.x + 4, box.y + box.height / 2)
  await page.mouse.down()
  await counted('ours', 1)
  for (let i = 1; i <= ROUNDS; i++) {
    const before = await page.evaluate(() => (window as unknown as { times: Times }).times.ours.length)
    await page.mouse.move(box.x + 4 + (i * (box.width - 8)) / ROUNDS, box.y + box.height / 2)
    await counted('ours', before + 1)
  }
  const times = await page.evaluate(() => (window as unknown as { times: Times }).times)
  await page.mouse.up()
  const [ours, byHand] = [middleOf(times.ours.slice(5)), middleOf(times.byHand.slice(5))]
  print({
    what: 'one colour of the style guide dragged to painted in three views, median',
    against: 'setting the same custom property by hand',
    ratio: ours / byHand,
    wanted: 1.2,
    figures: `${ours.toFixed(1)} and ${byHand.toFixed(1)} ms`,
  })
} finally {
  await browser.close()
  await app.stop()
  rmSync(data, { recursive: true, force: true })
}
