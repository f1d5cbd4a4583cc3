import { expect, type Locator, type Page } from '@playwright/test'

export type Box = { left: number; top: number; width: number; height: number }

/** Where something is on the screen. */
export async function inWindow(locator: Locator): Promise<Box> {
  const { x, y, width, height } = (await locator.boundingBox())!
  return { left: x, top: y, width, height }
}

/** A block in the view of a width, and where it is on the screen, once the view has it. */
export async function onScreen(page: Page, width: number, selector: string, nth = 0): Promise<Box> {
  const view = page.locator(`[data-view="${width}"]`)
  await view.frameLocator('iframe').locator(selector).nth(nth).waitFor({ state: 'attached' })
  const bounds = (await view.boundingBox())!
  const inner = await view.locator('iframe').evaluate(
    (frame, [wanted, index, px]) => {
      const iframe = frame as HTMLIFrameElement
      const scale = iframe.getBoundingClientRect().width / Number(px)
      const element = iframe.contentDocument!.querySelectorAll(String(wanted))[Number(index)]
      if (!element) throw new Error(`The view has no ${String(wanted)}.`)
      const { left, top, width: w, height: h } = element.getBoundingClientRect()
      return { left: left * scale, top: top * scale, width: w * scale, height: h * scale }
    },
    [selector, nth, width] as const,
  )
  return { left: bounds.x + inner.left, top: bounds.y + inner.top, width: inner.width, height: inner.height }
}

/** Scrolls the stage until a block of a view is in sight. */
export async function reveal(page: Page, width: number, selector: string): Promise<void> {
  const { top } = await onScreen(page, width, selector)
  await page
    .locator('[data-stage]')
    .evaluate((stage, y) => stage.scrollTo({ top: stage.scrollTop + y - stage.getBoundingClientRect().top - 80 }), top)
}

/** Px of the page's own boxes, of every element that matches in a view, without the space that aligns the rows. */
export function boxesInView(page: Page, width: number, selector: string): Promise<Box[]> {
  return page.locator(`[data-view="${width}"] iframe`).evaluate((frame, wanted) => {
    const inner = (frame as HTMLIFrameElement).contentDocument!
    let shift = 0
    const shifts = new Map<Element, number>()
    for (const section of inner.querySelectorAll('.band')) {
      shifts.set(section, shift)
      shift += Number.parseFloat(inner.defaultView!.getComputedStyle(section).marginBottom)
    }
    return [...inner.querySelectorAll(wanted)].map((element) => {
      const { left, top, width: w, height } = element.getBoundingClientRect()
      return { left, top: top - (shifts.get(element.closest('.band')!) ?? 0), width: w, height }
    })
  }, selector)
}

export const middle = (box: Box) => ({ x: box.left + box.width / 2, y: box.top + box.height / 2 })

/** Presses the middle of a block in the view of a width, once it is in sight and stays where it is. */
export async function press(page: Page, width: number, selector: string, nth = 0): Promise<void> {
  await reveal(page, width, selector)
  let box = await onScreen(page, width, selector, nth)
  await expect
    .poll(async () => {
      const before = box
      box = await onScreen(page, width, selector, nth)
      return Math.abs(box.top - before.top) + Math.abs(box.left - before.left) < 1
    })
    .toBe(true)
  const { x, y } = middle(box)
  await page.mouse.click(x, y)
}
