import { onDemo } from './demo-app'
import { middle, onScreen } from '../e2e/views'
import { middleOf, print } from './measure'

const ROUNDS = 60

/** From a key press to the frame after it, ms; the key sets the weight of the heading in all three views. */
type Times = { ours: number[]; byHand: number[] }

await onDemo(async (page) => {
  const heading = middle(await onScreen(page, 1280, 'h1'))
  await page.mouse.click(heading.x, heading.y)
  await page.getByRole('textbox', { name: 'Weight' }).focus()

  await page.evaluate(() => {
    const times: Times = { ours: [], byHand: [] }
    Object.assign(window, { times })
    let weight = 500
    const documents = [...document.querySelectorAll<HTMLIFrameElement>('[data-view] iframe')].map((frame) => frame.contentDocument!)
    const painted = (list: number[], from: number) =>
      requestAnimationFrame(() => {
        // A message is handled after the frame has been painted.
        const channel = new MessageChannel()
        channel.port1.onmessage = () => list.push(performance.now() - from)
        channel.port2.postMessage(null)
      })
    window.addEventListener(
      'keydown',
      (event) => {
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') painted(times.ours, performance.now())
        if (event.key !== 'F8') return
        painted(times.byHand, performance.now())
        weight = weight === 500 ? 520 : 500
        for (const one of documents) one.querySelector<HTMLElement>('h1')!.style.fontWeight = String(weight)
      },
      { capture: true },
    )
  })
  for (let i = 0; i < ROUNDS; i++) {
    for (const [key, name] of [
      [i % 2 === 0 ? 'ArrowUp' : 'ArrowDown', 'ours'],
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
  print('key-press', ours / byHand, `${ours.toFixed(1)} and ${byHand.toFixed(1)} ms`)
})
