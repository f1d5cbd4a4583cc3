import type { Page } from '@playwright/test'
import { onDemo } from './demo-app'
import { print } from './measure'

// Frames that came late while the demo page is played and scrolled to its end and back, against one in a hundred.

/** px that the wheel turns by at a time, and how often. */
const [TURN, TURNS] = [60, 160]

/** Scrolls what is played by the wheel, and reads what Play says of it. */
async function scrolled(page: Page): Promise<{ late: number; frames: number }> {
  await page.mouse.move(640, 500)
  for (const way of [1, -1])
    for (let n = 0; n < TURNS; n++) {
      await page.mouse.wheel(0, way * TURN)
      await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)))
    }
  const said = await page.locator('[data-watched]').textContent()
  const [, late, frames] = /(\d+) of (\d+) frames late/.exec(said ?? '') ?? []
  if (frames === undefined) throw new Error(`Play says “${said}”.`)
  return { late: Number(late), frames: Number(frames) }
}

await onDemo(async (page) => {
  await page.getByRole('link', { name: 'Play page' }).click()
  await page.frameLocator('iframe[title^="Autumn nights at"]').locator('h1').waitFor()
  // Once all is fetched and has been painted.
  await scrolled(page)
  const before = await scrolled(page)
  const { late, frames } = await scrolled(page)
  const share = (late - before.late) / (frames - before.frames)
  print('played-frames', share / 0.01, `${late - before.late} of ${frames - before.frames}`)
})
