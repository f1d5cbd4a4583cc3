import { onDemo } from './demo-app'
import { middleOf, print } from './measure'

const ROUNDS = 60

/** From a change to the frame after it, ms. */
type Times = { ours: number[]; byHand: number[] }

await onDemo(async (page) => {
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
    // A slider that is dragged tells of each new value by an `input` event; so does a plain one, which does it by hand.
    const plain = document.createElement('input')
    Object.assign(plain, { type: 'range', id: 'by-hand', max: '360' })
    plain.style.cssText = 'position:fixed;left:20px;bottom:4px;width:400px;z-index:99'
    document.body.append(plain)
    document.addEventListener('input', (event) => painted(event.target === plain ? times.byHand : times.ours, performance.now()), {
      capture: true,
    })
    plain.addEventListener('input', () => {
      // One property of each of the three pages. Every colour is a new one, as in a drag.
      const colour = `#1a${(n++ + 16).toString(16)}2e`
      for (const frame of document.querySelectorAll<HTMLIFrameElement>('iframe[data-direction]'))
        frame.contentDocument!.documentElement.style.setProperty('--ink', colour)
    })
  })
  const counted = (list: keyof Times, count: number) =>
    page.waitForFunction(
      ([name, wanted]) => (window as unknown as { times: Times }).times[name as 'ours'].length >= Number(wanted),
      [list, count] as const,
    )
  /** Drags a slider from end to end in steps, each waited for until it is painted. */
  async function drag(list: keyof Times, { x, y, width, height }: { x: number; y: number; width: number; height: number }) {
    await page.mouse.move(x + 8, y + height / 2)
    await page.mouse.down()
    for (let i = 1; i <= ROUNDS; i++) {
      const before = await page.evaluate((name) => (window as unknown as { times: Times }).times[name].length, list)
      await page.mouse.move(x + 8 + (i * (width - 16)) / ROUNDS, y + height / 2)
      await counted(list, before + 1)
    }
    await page.mouse.up()
  }
  await drag('byHand', (await page.locator('#by-hand').boundingBox())!)
  await drag('ours', box)
  const times = await page.evaluate(() => (window as unknown as { times: Times }).times)
  const [ours, byHand] = [middleOf(times.ours.slice(5)), middleOf(times.byHand.slice(5))]
  print('guide-colour', ours / byHand, `${ours.toFixed(1)} and ${byHand.toFixed(1)} ms`)
})
