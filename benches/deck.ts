import { spawn } from 'node:child_process'
import { composed } from '../e2e/application'
import { onDemo } from './demo-app'
import { middleOf, print } from './measure'
import type { RowName } from './rows'

const ROUNDS = 50

type Times = { ours: number[]; byHand: number[] }

/** A key press in the copy deck until its letter is painted in three live pages, beside the same letter set by hand. */
await onDemo(async (page) => {
  await page.goto(page.url().replace('/compose', '/copy'))
  await page.getByRole('button', { name: 'All', exact: true }).click()
  await page.frameLocator('[data-live="375"] iframe').locator('h1').waitFor()
  await page.locator('[data-deck]').getByText('Bring a coat. We will bring the galaxies.').click()
  await page.keyboard.press('End')
  await page.evaluate(() => {
    const times: Times = { ours: [], byHand: [] }
    Object.assign(window, { times })
    const headings = [...document.querySelectorAll<HTMLIFrameElement>('[data-live] iframe')].map((frame) =>
      frame.contentDocument!.querySelector('h1')!,
    )
    const painted = (list: number[], from: number) =>
      requestAnimationFrame(() => {
        const channel = new MessageChannel()
        channel.port1.onmessage = () => list.push(performance.now() - from)
        channel.port2.postMessage(null)
      })
    window.addEventListener(
      'keydown',
      (event) => {
        if (event.key === 'x') painted(times.ours, performance.now())
        if (event.key !== 'F8') return
        painted(times.byHand, performance.now())
        for (const heading of headings) heading.lastChild!.nodeValue += 'x'
      },
      { capture: true },
    )
  })
  for (let i = 0; i < ROUNDS; i++) {
    for (const [key, name] of [
      ['x', 'ours'],
      ['F8', 'byHand'],
    ] as const) {
      await page.keyboard.press(key)
      await page.waitForFunction(
        ([list, count]) => (window as unknown as { times: Times }).times[list as 'ours'].length > Number(count),
        [name, i] as const,
      )
    }
  }
  const times = await page.evaluate(() => (window as unknown as { times: Times }).times)
  const [ours, byHand] = [middleOf(times.ours.slice(10)), middleOf(times.byHand.slice(10))]
  print('deck-key', ours / byHand, `${ours.toFixed(1)} and ${byHand.toFixed(1)} ms`)

  // The chooser: frames while it is scrolled from its first arrangement to its last.
  await page.goto(page.url().replace('/copy', '/compose'))
  await composed(page)
  await page.keyboard.press('a')
  await page.locator('[data-arrangement]').first().waitFor()
  const scrolled = () =>
    page.evaluate(async () => {
      const list = document.querySelector('[data-arrangements]')!
      const times: number[] = []
      list.scrollTop = 0
      await new Promise((done) => setTimeout(done, 300))
      let before = performance.now()
      for (let i = 0; i < 240 && list.scrollTop + list.clientHeight < list.scrollHeight - 1; i++) {
        list.scrollTop += 60
        await new Promise(requestAnimationFrame)
        const now = performance.now()
        times.push(now - before)
        before = now
      }
      return times
    })
  const report = (frames: readonly number[], row: RowName) => {
    const late = frames.filter((one) => one > 34).length
    print(
      row,
      late / frames.length,
      `${late} of ${frames.length}, median ${middleOf(frames).toFixed(1)} ms, longest ${Math.max(...frames).toFixed(0)} ms`,
    )
  }
  report(await scrolled(), 'chooser-frames')
  await page.keyboard.press('Escape')
  const busy = spawn(process.execPath, ['-e', 'for (;;);'])
  await page.reload()
  await composed(page)
  await page.keyboard.press('a')
  await page.locator('[data-arrangement]').first().waitFor()
  report(await scrolled(), 'chooser-frames-busy')
  busy.kill()
})
