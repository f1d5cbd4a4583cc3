import type { Page } from '@playwright/test'

/**
 * Scrolls a visited page to each of some positions, px, one after the other, and reads it there, once what the scroll starts
 * has been played to its end: one loop inside the page, since a call from here for each position takes longer than that.
 * @param read runs in the page, and may use nothing from outside itself
 */
export const readAlong = <T>(page: Page, positions: readonly number[], read: () => T): Promise<T[]> =>
  page.evaluate<T[]>(`(async () => {
    const frame = () => new Promise((done) => requestAnimationFrame(done))
    const playing = () =>
      document.getAnimations().some((one) => one.timeline instanceof DocumentTimeline && one.playState === 'running')
    const seen = []
    for (const px of ${JSON.stringify(positions)}) {
      scrollTo(0, px)
      // What the scroll starts is started a frame after it.
      for (let n = 0; n < 3; n++) await frame()
      while (playing()) await frame()
      seen.push((${String(read)})())
    }
    return seen
  })()`)

/** Scrolls a visited page, and waits until what the scroll starts has been played to its end. */
export const scrolledTo = async (page: Page, px: number): Promise<void> => void (await readAlong(page, [px], () => null))
