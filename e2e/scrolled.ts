import type { Page } from '@playwright/test'

/** Scrolls a visited page, and waits until what the scroll starts has been played to its end. */
export const scrolledTo = (page: Page, px: number): Promise<void> =>
  page.evaluate(async (to) => {
    scrollTo(0, to)
    const frame = () => new Promise((done) => requestAnimationFrame(done))
    // What the scroll starts is started a frame after it.
    for (let n = 0; n < 4; n++) await frame()
    const playing = () =>
      document.getAnimations().some((one) => one.timeline instanceof DocumentTimeline && one.playState === 'running')
    while (playing()) await frame()
  }, px)
