import { type Page } from '@playwright/test'
import { composed, expect, openSite, saved, test } from './application'
import { boxesInView, middle, onScreen } from './views'

/** Moves the focus with Tab until what has it matches, as one does who has no pointer. */
async function tabTo(page: Page, role: string, name: RegExp, most = 120): Promise<void> {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab')
    const [is, called] = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement
      const tag = { BUTTON: 'button', A: 'link', INPUT: 'textbox' }[element.tagName] ?? ''
      return [element.getAttribute('role') ?? tag, element.getAttribute('aria-label') ?? element.textContent ?? '']
    })
    if (is === role && name.test(called!)) return
  }
  throw new Error(`Tab reaches no ${role} called ${String(name)}.`)
}

const wide = (page: Page) => page.frameLocator('[data-view="1280"] iframe')
const tray = (page: Page) => page.getByRole('region', { name: 'Tray' })

test('a section is composed from nothing by keyboard alone, start to end', async ({ page, app }) => {
  await page.goto(app.url)
  await tabTo(page, 'button', /New site/)
  await page.keyboard.press('Enter')
  await page.keyboard.type('Barges and ferries')
  await page.keyboard.press('Enter')
  await page.waitForURL(/brief$/)
  await tabTo(page, 'link', /^Compose/)
  await page.keyboard.press('Enter')
  await composed(page)

  // A section in an arrangement, out of the chooser.
  await page.keyboard.press('a')
  const chooser = page.getByRole('dialog', { name: 'Add a section' })
  await expect(chooser).toBeVisible()
  await tabTo(page, 'button', /^Opening|^opening/)
  await page.keyboard.press('Enter')
  await tabTo(page, 'button', /Statement/)
  await page.keyboard.press('Enter')
  await expect(chooser).toBeHidden()
  await expect(wide(page).locator('h1')).toHaveCount(1)

  // Into the section, and from slot to slot; words are typed in place.
  const words = ['Since 1911', 'The river is slower than you', 'Twelve wooden boats and one lock.', 'Book a boat']
  const filled = async () => (await wide(page).locator('.band').innerText()).replace(/\s+/g, ' ')
  await expect(tray(page).getByRole('heading', { name: 'Opening', exact: true })).toBeVisible()
  await page.keyboard.press('Enter')
  for (let i = 0; i < 12 && words.length > 0; i++) {
    const kind = await tray(page).locator('h3').first().innerText()
    if (['Group', 'Words', 'Section'].includes(kind)) await page.keyboard.press('Enter')
    else if (/Picture|Divider/.test(kind)) await page.keyboard.press('ArrowDown')
    else {
      await page.keyboard.press('Enter')
      const text = words.shift()!
      await page.keyboard.type(text)
      await page.keyboard.press('Escape')
      await expect.poll(filled).toContain(text)
      await page.keyboard.press('ArrowDown')
    }
  }
  expect(words).toEqual([])

  // After words, keys are the screen's again: the grid, undo, redo, and the order of blocks.
  await page.keyboard.press('g')
  await expect(page.getByRole('button', { name: 'Column grid (G)' })).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('Control+z')
  await expect.poll(filled).not.toContain('Book a boat')
  await page.keyboard.press('Control+Shift+z')
  await expect.poll(filled).toContain('Book a boat')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('h')
  await page.keyboard.press('Control+z')
  await saved(page)
})

test('the press that leaves words selects what it falls on, and a drag selects no text of the interface', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const at = async (selector: string) => middle(await onScreen(page, 1280, selector))
  const heading = await at('h1')
  await page.mouse.dblclick(heading.x, heading.y)
  await expect(wide(page).locator('h1[contenteditable=true]')).toBeVisible()
  const text = await at('.band:nth-of-type(1) p:nth-of-type(2), main .band p.lead')
  await page.mouse.click(text.x, text.y)
  await expect(tray(page).getByRole('heading', { name: 'Text', exact: true })).toBeVisible()
  await page.keyboard.press('g')
  await expect(page.getByRole('button', { name: 'Column grid (G)' })).toHaveAttribute('aria-pressed', 'true')
  await page.mouse.move(text.x, text.y)
  await page.mouse.down()
  await page.mouse.move(text.x + 60, text.y + 200, { steps: 6 })
  expect(await page.evaluate(() => getSelection()!.toString())).toBe('')
  await page.keyboard.press('Escape')
  await page.mouse.up()
})

test('what lies behind all has no drop lines among blocks, only what it would lie behind', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: /^02 Opening/ }).click()
  await order.getByRole('button', { name: /^Picture/ }).click()
  await expect(tray(page).getByRole('heading', { name: 'Picture', exact: true }).first()).toBeVisible()
  const [whole] = await boxesInView(page, 1280, '[data-block] img, img[data-block]')
  expect(whole!.width).toBe(1280)
  const box = await onScreen(page, 1280, 'main .band:first-child')
  const from = { x: box.left + box.width - 20, y: box.top + 20 }
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x - 80, from.y + 60, { steps: 5 })
  await expect(page.getByText(/^behind Opening/)).toBeVisible()
  expect((await page.locator('[data-drop-line]').boundingBox())!.height).toBeGreaterThan(100)
  await page.keyboard.press('Escape')
  await page.mouse.up()
})

test('a property is gone to by name, in whatever column or tab it is', async ({ page, app }) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  await page.keyboard.press(']')
  await page.keyboard.press('Enter')
  const goTo = async (typed: string, field: RegExp) => {
    await page.keyboard.press('/')
    await expect(page.getByPlaceholder('Add, set, go to, show …')).toBeFocused()
    await page.keyboard.type(typed)
    // What is chosen is the first that is left.
    await expect(page.getByRole('option').first()).toHaveAttribute('aria-selected', 'true')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect.poll(() => page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toMatch(field)
    await page.locator('[data-stage]').focus()
  }
  await goTo('height, least', /^Height, least/)
  await tray(page).getByRole('button', { name: 'Fold Place' }).click()
  await page.keyboard.press('t')
  await goTo('space after', /^Space after/)
  // A distance from an edge has its field once a block is held: its place in the page comes first.
  await goTo('from left, in place', /^Stands/)
})
