import type { Page } from '@playwright/test'

type Hearing = { times: number[]; byHand?: () => void }

/** Times from an input that is heard to the frame after it, ms, for inputs of one type; `byHand` of the window is run in each. */
export async function hear(page: Page, type: 'pointermove' | 'keydown'): Promise<void> {
  await page.evaluate((heard) => {
    const times: number[] = []
    Object.assign(window, { times })
    window.addEventListener(
      heard,
      () => {
        const from = performance.now()
        ;(window as unknown as Hearing).byHand?.()
        requestAnimationFrame(() => {
          // A message is handled after the frame has been painted.
          const channel = new MessageChannel()
          channel.port1.onmessage = () => times.push(performance.now() - from)
          channel.port2.postMessage(null)
        })
      },
      { capture: true },
    )
  }, type)
}

export const heardSoFar = (page: Page) => page.evaluate(() => [...(window as unknown as Hearing).times])
export const forget = (page: Page) => page.evaluate(() => void ((window as unknown as Hearing).times.length = 0))
export const until = (page: Page, count: number) =>
  page.waitForFunction((n) => (window as unknown as Hearing).times.length >= n, count)
