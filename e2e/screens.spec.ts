import { composed, expect, openSite, saved, test, visitOf } from './application'
import { seriousOn } from './axe'
import { boxesInView, middle, onScreen, press, reveal } from './views'
import type { Page } from '@playwright/test'

const SITE = 'Hollin Ridge Observatory'

const tray = (page: Page) => page.getByRole('region', { name: 'Tray' })
const order = (page: Page) => page.getByRole('complementary', { name: 'Running order' })
const names = (page: Page) => order(page).locator('[aria-roledescription=section] .font-semibold').allTextContents()

// Of the screens of a page it is asked as each is opened, in awake.spec.
test('axe finds nothing serious on the sites, beside a block, in the chooser, and on the exported page', async ({ page, app }) => {
  const serious = async (what: string) => expect(await seriousOn(page), what).toEqual([])
  await page.goto(app.url)
  await serious('the sites')
  await openSite(page, app, SITE)
  await press(page, 1280, 'h1')
  await expect(tray(page).getByRole('heading', { name: 'Heading', exact: true })).toBeVisible()
  await serious('the tray')
  await page.keyboard.press('Escape')
  await page.keyboard.press('a')
  await page.locator('[data-arrangement]').first().waitFor()
  await serious('the chooser')
  // The sandbox keeps axe's own script out, so the page is shown without it.
  await page.route('**/visit/**', async (route) => {
    const response = await route.fetch()
    await route.fulfill({ response, headers: { ...response.headers(), 'content-security-policy': '' } })
  })
  await page.goto(`${visitOf(app, SITE)}/index.html`)
  await serious('the exported page')
})

test('sections are added, renamed, hidden, duplicated, reordered by drag and deleted, and all of it undone', async ({
  page,
  app,
}) => {
  await openSite(page, app, SITE)
  const before = await names(page)
  await page.getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: 'Questions' }).click()
  expect(await names(page)).toEqual([...before.slice(0, -1), 'Questions', 'Footer'])
  const questions = order(page)
    .getByRole('button', { name: /Questions/ })
    .filter({ hasNotText: 'Asked on the telephone' })
    .and(page.locator('[aria-roledescription=section]'))
  await questions.dblclick()
  await page.getByLabel('Name of the section').fill('What people ask')
  await page.keyboard.press('Enter')
  await expect(
    order(page)
      .getByRole('button', { name: /What people ask/ })
      .first(),
  ).toBeVisible()

  const more = page.getByRole('button', { name: 'More for Reasons' })
  await more.focus()
  await page.keyboard.press('Enter')
  await page.getByRole('menuitem', { name: 'Duplicate' }).click()
  expect((await names(page)).filter((one) => one === 'Reasons')).toHaveLength(2)
  await page.keyboard.press('h')
  await expect.poll(async () => (await boxesInView(page, 1280, '.band')).length).toBe(before.length + 1)

  const [first, third] = [
    order(page).locator('[aria-roledescription=section]').nth(1),
    order(page).locator('[aria-roledescription=section]').nth(2),
  ]
  await first.scrollIntoViewIfNeeded()
  const from = (await first.boundingBox())!
  const to = (await third.boundingBox())!
  await page.mouse.move(from.x + 60, from.y + 12)
  await page.mouse.down()
  await page.mouse.move(to.x + 60, to.y + to.height * 0.8, { steps: 12 })
  await page.mouse.up()
  await expect.poll(async () => (await names(page)).slice(0, 3)).toEqual(['Header', 'Reasons', 'Opening'])

  await order(page)
    .getByRole('button', { name: /What people ask/ })
    .first()
    .click()
  await page.keyboard.press('Delete')
  await expect(order(page).getByText('What people ask')).toHaveCount(0)
  const undo = page.getByRole('button', { name: /^(Undo|Nothing to undo)/ })
  while (await undo.isEnabled()) await undo.click()
  expect(await names(page)).toEqual(before)
  await saved(page)
})

test('a block is dragged within its group, into another, and onto columns', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await page.keyboard.press('1')
  const texts = () =>
    page
      .frameLocator('[data-view="1280"] iframe')
      .locator('#reasons > div')
      .first()
      .locator(':scope > *')
      .evaluateAll((list) => list.map((one) => one.tagName))
  await composed(page)
  expect(await texts()).toEqual(['svg', 'H3', 'P'])
  await reveal(page, 1280, '#reasons')
  const inFirst = await onScreen(page, 1280, '#reasons > div:nth-of-type(1) > p')
  const heading = await onScreen(page, 1280, '#reasons > div:nth-of-type(1) > h3')
  await page.mouse.move(inFirst.left + 20, inFirst.top + 8)
  await page.mouse.down()
  await page.mouse.move(heading.left + 20, heading.top + 3, { steps: 10 })
  await expect(page.locator('[data-drop-line]')).toBeVisible()
  await page.mouse.up()
  await expect.poll(texts).toEqual(['svg', 'P', 'H3'])

  // Into the second reason, at its end.
  const words = await onScreen(page, 1280, '#reasons > div:nth-of-type(1) > p')
  const goal = await onScreen(page, 1280, '#reasons > div:nth-of-type(2) > p')
  await page.mouse.move(words.left + 20, words.top + 8)
  await page.mouse.down()
  await page.mouse.move(goal.left + 20, goal.top + goal.height - 3, { steps: 10 })
  await page.mouse.up()
  await expect.poll(texts).toEqual(['svg', 'H3'])

  // The heading of the opening, eight columns wide, is held at its left and put down from the fourth.
  await reveal(page, 1280, '#opening')
  const title = await onScreen(page, 1280, 'h1')
  const content = await onScreen(page, 1280, '#opening .eyebrow')
  await page.mouse.move(title.left + 10, title.top + 20)
  await page.mouse.down()
  await page.mouse.move(title.left + 10 + (content.width / 12) * 3.1, title.top + 22, { steps: 10 })
  await expect(page.getByText('into Opening, from column 4')).toBeVisible()
  await page.mouse.up()
  await expect(page.getByRole('textbox', { name: 'From column' })).toHaveValue('4')
  await saved(page)
})

test('what is covered is reached by the path, and exceptions are marked and returned from', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await press(page, 1280, '#what-you-see h3')
  const path = page.getByRole('navigation', { name: 'Path to the block' })
  await expect(path).toHaveText('in Words, What you see')
  await path.getByRole('button', { name: 'Words' }).click()
  await expect(tray(page).getByRole('heading', { name: 'Words', exact: true }).first()).toBeVisible()

  await page.getByTitle('Edit widths below 640 alone').click()
  await expect(page.getByRole('button', { name: /Below 640 [12345] exceptions?/ })).toHaveAttribute('aria-pressed', 'true')
  const notch = tray(page).getByRole('button', { name: 'Differs from the base' }).first()
  await notch.click()
  await expect(page.getByText(/in the base:/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Return to the base' }).click()
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled()
})

test('words are edited in place with marks, links and new lines, and every view shows them at once', async ({ page, app }) => {
  await openSite(page, app, 'Tallow & Twine')
  const lead = middle(await onScreen(page, 1280, 'p.lead'))
  await page.mouse.dblclick(lead.x, lead.y)
  const editor = page.frameLocator('[data-view="1280"] iframe').locator('[contenteditable=true]')
  await expect(editor).toBeFocused()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('Rope and ')
  await page.getByRole('tab', { name: 'Words' }).click()
  await page.getByRole('button', { name: 'Strong' }).click()
  await page.keyboard.type('lamps')
  await expect(page.frameLocator('[data-view="375"] iframe').locator('p.lead')).toHaveText('Rope and lamps')
  await expect(page.frameLocator('[data-view="375"] iframe').locator('p.lead strong')).toHaveText('lamps')
  // The next line is open before the next key: not a letter is lost.
  await page.keyboard.press('Enter')
  await page.keyboard.type('Second line')
  await page.keyboard.press('Escape')
  await expect(editor).toHaveCount(0)
  await expect(page.frameLocator('[data-view="768"] iframe').getByText('Second line')).toBeVisible()
  // While words are edited keys are letters: nothing else has happened.
  await expect(page.locator('[data-grid]')).toHaveCount(0)
  await saved(page)
  await page.reload()
  await composed(page)
  await expect(page.frameLocator('[data-view="1280"] iframe').locator('p.lead').first()).toHaveText('Rope and lamps')
})

test('views and breakpoints are moved on the ruler by drag and by keys, and views come and go', async ({ page, app }) => {
  await openSite(page, app, 'Tallow & Twine')
  const flag = page.getByRole('button', { name: /^Breakpoint below 1024 px/ })
  const box = (await flag.boundingBox())!
  await page.mouse.move(box.x + 5, box.y + 10)
  await page.mouse.down()
  await page.mouse.move(box.x - 85, box.y + 10, { steps: 10 })
  await page.mouse.up()
  const moved = page.getByRole('button', { name: /^Breakpoint below (8[5-9]\d|9\d\d) px/ })
  await expect(moved).toBeVisible()
  // One drag is one step of undo.
  await page.getByRole('button', { name: 'Undo breakpoints' }).click()
  await expect(flag).toBeVisible()

  const view = page.getByRole('button', { name: /^View at 768 px/ })
  await view.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.locator('[data-view="778"]')).toBeVisible()
  await page.getByRole('button', { name: /^View at 778 px/ }).focus()
  await page.keyboard.press('Delete')
  await expect(page.locator('[data-view]')).toHaveCount(2)
  await page.getByRole('button', { name: 'Add a view' }).click()
  await expect(page.locator('[data-view]')).toHaveCount(3)

  await page.getByRole('button', { name: 'Breakpoints and grid' }).click()
  const columns = page.getByRole('textbox', { name: 'Columns, all widths' })
  await columns.fill('16')
  await columns.press('Enter')
  await expect(page.getByText('47.5 px at 1280')).toBeVisible()
})

test('keys work, and blocks are copied, pasted, duplicated and deleted with them', async ({ page, app }) => {
  await openSite(page, app, SITE)
  await page.keyboard.press('g')
  await expect(page.locator('[data-grid]').first()).toBeVisible()
  await page.keyboard.press('g')
  await page.keyboard.press('2')
  await expect(page.locator('[data-view]')).toHaveCount(1)
  await page.keyboard.press('0')
  await expect(page.locator('[data-view]')).toHaveCount(3)
  await page.keyboard.press('t')
  await expect(tray(page)).toHaveCount(0)
  await page.keyboard.press('t')
  await composed(page)
  await page.keyboard.press(']')
  await page.keyboard.press(']')
  await expect(tray(page).getByRole('heading', { name: 'Opening', exact: true })).toBeVisible()

  const buttons = () => page.frameLocator('[data-view="1280"] iframe').locator('#opening .button-primary').count()
  const before = await buttons()
  await press(page, 1280, '#opening .button-primary')
  await page.keyboard.press('d')
  await expect(page.locator('[data-distances]').first()).toBeVisible()
  await page.keyboard.press('Control+c')
  await page.keyboard.press('Control+v')
  await expect.poll(buttons).toBe(before + 1)
  await page.keyboard.press('Control+d')
  await expect.poll(buttons).toBe(before + 2)
  await page.keyboard.press('Delete')
  await page.keyboard.press('Control+x')
  await expect.poll(buttons).toBe(before)
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect.poll(buttons).toBe(before)

  // Out of its group and back in, by keys.
  const inGroup = () =>
    page.frameLocator('[data-view="1280"] iframe').locator('#reasons > div').first().locator(':scope > *').count()
  await press(page, 1280, '#reasons h3')
  await page.keyboard.press('Alt+ArrowLeft')
  await expect.poll(inGroup).toBe(2)
  await page.keyboard.press('Alt+ArrowRight')
  await expect.poll(inGroup).toBe(3)

  await page.keyboard.press('?')
  await expect(page.getByRole('dialog').getByText('Duplicate the selection')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await page.keyboard.type('add divider')
  await page.keyboard.press('Enter')
  await expect(tray(page).getByRole('heading', { name: 'Divider' })).toBeVisible()
})
