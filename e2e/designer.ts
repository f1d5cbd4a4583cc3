import type { Locator, Page } from '@playwright/test'
import { type Application, expect, saved } from './application'
import type { Box } from './views'

export const WIDTHS = [1920, 1280, 1024, 768, 375]

/** A designer at work: what the mouse and the keyboard do, by the names that stand on the screen. */
export function designer(page: Page) {
  const tray = page.getByRole('region', { name: 'Tray' })
  const order = page.getByRole('complementary', { name: 'Running order' })
  const add = async (what: 'Section' | 'Block', kind: string) => {
    await order.getByRole('button', { name: `Add a ${what.toLowerCase()}` }).click()
    await page.getByRole('menuitem', { name: kind, exact: true }).click()
  }
  return {
    tray,
    order,
    section: (job: string) => add('Section', job),
    block: (kind: string) => add('Block', kind),
    /** A block that takes words, which are typed at once. */
    words: async (kind: string, text: string) => {
      await add('Block', kind)
      await expect(page.frameLocator('[data-view] iframe').first().getByRole('textbox', { name: 'Words' })).toBeFocused()
      await page.keyboard.type(text)
      await page.keyboard.press('Escape')
    },
    /** Figures of the tray, each by its name. */
    figure: async (label: string, value: string) => {
      const field = tray.getByRole('textbox', { name: label, exact: true })
      await field.fill(value)
      await field.press('Enter')
      await field.blur()
      await expect(field).toHaveValue(new RegExp(`^${value}( px)?$`))
    },
    choose: async (label: string, option: string) => {
      await tray.getByRole('combobox', { name: label, exact: true }).click()
      await page.getByRole('option', { name: option, exact: true }).click()
    },
    fill: async (label: string, role: string) => {
      await tray.getByRole('button', { name: new RegExp(`^${label}: `) }).click()
      await page.getByRole('button', { name: role, exact: true }).click()
      await page.keyboard.press('Escape')
    },
    /** Selects what holds the selection. */
    out: () => page.keyboard.press('Escape'),
  }
}

/** Parts of the page as visitors get it, each by its selector, measured at five widths. */
export async function measure(page: Page, app: Application, selectors: string[], height = 800): Promise<Map<number, Box[][]>> {
  await saved(page)
  const id = /sites\/([\w-]{10})/.exec(page.url())![1]!
  return measureAt(page, `${app.url}/visit/${id}/index.html`, selectors, height)
}

/** The same of a page at an address. */
export async function measureAt(page: Page, url: string, selectors: string[], height = 800): Promise<Map<number, Box[][]>> {
  const visit = await page.context().newPage()
  await visit.goto(url)
  const found = new Map<number, Box[][]>()
  for (const width of WIDTHS) {
    await visit.setViewportSize({ width, height })
    // Other words may come into sight with a face of their own.
    await visit.evaluate(() => document.fonts.ready)
    found.set(width, await Promise.all(selectors.map((one) => boxesOf(visit.locator(one)))))
  }
  await visit.close()
  return found
}

const boxesOf = (all: Locator): Promise<Box[]> =>
  all.evaluateAll((list) =>
    list.map((one) => {
      const { left, top, width, height } = one.getBoundingClientRect()
      return { left, top: top + scrollY, width, height }
    }),
  )
/** That two figures are the same to a little over half a px, which is what browsers round to. */
export const near = (a: number, b: number) => expect(Math.abs(a - b), `${a} and ${b}`).toBeLessThan(0.6)
/** How many boxes stand in each row, from the top. */
export const rowsOf = (boxes: readonly Box[]): number[] => {
  const tops = [...new Set(boxes.map((one) => Math.round(one.top)))]
  return tops.map((top) => boxes.filter((one) => Math.round(one.top) === top).length)
}
