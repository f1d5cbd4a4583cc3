import { composed, expect, openSite, test } from './application'
import { designer } from './designer'
import { openBare } from './sweep.fixture'
import { middle, onScreen } from './views'

const SITE = 'Hollin Ridge Observatory'

/** The scale that a view is drawn at, as its caption says. */
const scaleOf = async (page: Parameters<typeof composed>[0], width: number) =>
  Number(/now (\d+) %/.exec((await page.getByRole('button', { name: `Fit view at ${width}` }).getAttribute('aria-label'))!)![1])

test('the widest view has half its size and more beside the narrowest, and what is folded stays so', async ({ page, app }) => {
  await openSite(page, app, SITE)
  expect(await scaleOf(page, 1280)).toBeLessThan(50)
  await page.keyboard.press('f')
  await expect(page.locator('[data-view]')).toHaveCount(2)
  expect(await scaleOf(page, 1280)).toBeGreaterThanOrEqual(50)
  await page.keyboard.press('o')
  await expect(page.getByRole('complementary', { name: 'Running order' })).toHaveCount(0)
  await expect.poll(() => scaleOf(page, 1280)).toBeGreaterThanOrEqual(65)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Unfold the view at 768' })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Running order' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Running order' }).click()
  await page.getByRole('button', { name: 'Unfold the view at 768' }).click()
  await composed(page)
  await expect(page.locator('[data-view]')).toHaveCount(3)

  await page.getByRole('button', { name: /^02 Opening/ }).click()
  await page.getByRole('button', { name: 'Fold Place' }).click()
  await expect(page.getByRole('region', { name: 'Place of Opening' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Unfold Place' }).click()
  await expect(page.getByRole('region', { name: 'Place of Opening' })).toBeVisible()
})

test('words are typed in the view that is open, where the first is folded', async ({ page, app }) => {
  await openBare(page, app, [1280, 768])
  await page.getByRole('button', { name: 'Fold the view at 1280' }).click()
  const { section, words, order } = designer(page)
  await section('Story')
  await words('Heading', 'Seen small first')
  await expect(page.frameLocator('[data-view="768"] iframe').getByRole('heading', { name: 'Seen small first' })).toBeVisible()
  await expect(order.getByRole('button', { name: /^Heading/ })).toBeVisible()
})

test('what a field cannot take is said above it with what it can, and changes nothing', async ({ page, app }) => {
  await openBare(page, app)
  const { section, block, tray } = designer(page)
  await section('Story')
  await block('Group')
  const columns = tray.getByRole('textbox', { name: 'Columns spanned' })
  const height = tray.getByRole('textbox', { name: 'Height, least' })
  for (const [field, typed, said] of [
    [columns, '0', 'Columns spanned takes a whole number from 1 to 12.'],
    [columns, '-3', 'Columns spanned takes a whole number from 1 to 12.'],
    [height, '-3 columns', 'Height, least takes 0 to 24 columns.'],
    [height, '1000000000 px', 'Height, least takes 0 to 10,000 px.'],
    [height, 'NaN', 'Height, least takes a figure with its unit'],
  ] as const) {
    const before = await field.inputValue()
    await field.fill(typed)
    await field.press('Enter')
    await expect(page.getByRole('alert')).toContainText(said)
    await expect(field).toHaveValue(typed)
    await field.press('Escape')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(field).toHaveValue(before)
  }
})

test('rows of the tree are dragged beside and into others, renamed from their words, and locked', async ({ page, app }) => {
  await openBare(page, app)
  const { section, block, words, out, order, tray } = designer(page)
  await section('Story')
  await words('Heading', 'A night in the dome')
  await out()
  await block('Group')
  await out()
  const row = (name: RegExp) => order.getByRole('button', { name })
  await expect(row(/^Heading A night in the dome/)).toBeVisible()
  const drag = async (from: RegExp, to: RegExp, share: number) => {
    await row(to).scrollIntoViewIfNeeded()
    await row(from).scrollIntoViewIfNeeded()
    const [a, b] = [(await row(from).boundingBox())!, (await row(to).boundingBox())!]
    await page.mouse.move(a.x + 60, a.y + a.height / 2)
    await page.mouse.down()
    await page.mouse.move(b.x + 60, b.y + b.height * share, { steps: 6 })
    await page.mouse.up()
  }
  await drag(/^Group/, /^Heading/, 0.1)
  const names = () => order.locator('[data-row]').allInnerTexts()
  await expect.poll(async () => (await names()).map((one) => one.split(/\s/)[0])).toEqual(['Group', 'Heading'])
  await drag(/^Heading/, /^Group/, 0.5)
  await expect(page.frameLocator('[data-view="1280"] iframe').locator('#story [data-block] > :is(h1, h2)')).toBeVisible()
  await expect(tray.getByRole('navigation', { name: 'Path to the block' })).toContainText('Group')

  await row(/^Heading/).dblclick()
  await expect(order.getByLabel('Name of the heading')).toHaveValue('A night in the dome')
  await page.keyboard.press('Enter')
  await expect(row(/^A night in the dome/)).toBeVisible()

  // What is locked is passed over by presses on the page, and reached by the tree.
  await row(/^Group/).click()
  await page.keyboard.press('u')
  await expect(row(/^Group .*locked/)).toBeVisible()
  const { x, y } = middle(await onScreen(page, 1280, '#story :is(h1, h2)'))
  await page.mouse.click(x, y)
  await expect(tray.getByRole('heading', { name: 'Story', exact: true })).toBeVisible()
})

test('the tray keeps its height when it is hidden and when the screen is opened again', async ({ page, app }) => {
  await openBare(page, app)
  const tray = page.getByRole('region', { name: 'Tray' })
  const height = async () => Math.round((await tray.boundingBox())!.height)
  const edge = (await page.getByRole('separator', { name: 'Height of the tray' }).boundingBox())!
  const before = await height()
  await page.mouse.move(edge.x + 600, edge.y + 2)
  await page.mouse.down()
  await page.mouse.move(edge.x + 600, edge.y - 60, { steps: 5 })
  await page.mouse.up()
  await expect.poll(height).toBeGreaterThan(before + 40)
  const dragged = await height()
  await page.keyboard.press('t')
  await expect(tray).toHaveCount(0)
  await page.keyboard.press('t')
  await expect.poll(height).toBe(dragged)
  await page.reload()
  await composed(page)
  await expect.poll(height).toBe(dragged)
})
