import { expect, saved, test } from './application'
import { openBare } from './sweep.fixture'
import { built } from './built'
import { designer, near, rowsOf } from './designer'
import type { Box } from './views'

built('a grid of one and three cells with lines of 2 px between them', {
  async build(page) {
    const { section, block, words, figure, choose, fill, out, tray, order } = designer(page)
    await section('Proof')
    await block('Group')
    await choose('Layout', 'Grid')
    await figure('Own columns', '3')
    await figure('Gap across', '2')
    await figure('Gap down', '2')
    await fill('Fill', 'ink')
    for (const [n, said] of ['All night', 'Saturn', 'The Moon', 'Andromeda'].entries()) {
      await block('Group')
      await fill('Fill', 'ground')
      if (n > 0) await figure('Columns spanned', '1')
      await words('Text', said)
      await out()
      await out()
    }
    await expect(tray.getByRole('combobox', { name: 'Layout', exact: true })).toContainText('Grid')
    await expect(order.getByRole('button', { name: /^Group.* 1 col$/ })).toHaveCount(3)
  },
  async check(measured) {
    for (const [, [boxes]] of await measured(['#proof > div > div'])) {
      const [whole, ...cells] = boxes!
      for (const cell of cells) {
        near(cell.width, (whole!.width - 4) / 3)
        near(cell.top - whole!.top - whole!.height, 2)
      }
      near(cells[1]!.left - cells[0]!.left - cells[0]!.width, 2)
      near(cells[2]!.left + cells[2]!.width, whole!.left + whole!.width)
    }
  },
})

built('three round pictures that wrap and stack by themselves', {
  async build(page) {
    const { section, block, figure, choose, out } = designer(page)
    await section('People')
    await block('Group')
    await choose('Way to lay out', 'By itself')
    await block('Picture')
    await choose('Shape', '1 : 1')
    await figure('Corners', '50 %')
    await page.keyboard.press('Control+d')
    await page.keyboard.press('Control+d')
    await out()
  },
  async check(measured) {
    const boxes = await measured(['#people > div > *'])
    for (const [, [all]] of boxes) for (const one of all!) near(one.width, one.height)
    expect([...boxes].map(([, [all]]) => rowsOf(all!))).toEqual([[3], [3], [3], [2, 1], [1, 1, 1]])
  },
})

built('words held 5 % from the left and 10 % from the bottom of an opening, at every height', {
  async build(page) {
    const { section, block, words, figure, choose, order } = designer(page)
    await section('Story')
    await figure('Height, least', '80 vh')
    await block('Picture')
    await choose('Stands', 'Behind all')
    await block('Group')
    await choose('Stands', 'Held to edges')
    await figure('From left', '5 %')
    await figure('From bottom', '10 %')
    await words('Heading', 'Look up')
    await expect(order.getByRole('button', { name: /^Heading/ }).first()).toBeVisible()
  },
  async check(measured) {
    for (const height of [600, 1000]) {
      for (const [, [sections, groups]] of await measured(['#story', '#story > div'], height)) {
        const [band] = sections!
        const held = groups!.at(-1)!
        expect(band!.height).toBeGreaterThanOrEqual(height * 0.8 - 1)
        near(held.left, band!.width * 0.05)
        near(band!.top + band!.height - held.top - held.height, band!.height * 0.1)
      }
    }
  },
})

built('four plans whose columns divide the container exactly, the third 10 px taller', {
  async build(page) {
    const { section, block, words, figure, fill, out, tray, order } = designer(page)
    await section('Problem')
    await block('Group')
    await fill('Fill', 'accent')
    await words('Heading', 'One night')
    await words('Text', 'Two hours at the eyepiece, with tea.')
    await out()
    await tray.getByRole('button', { name: 'Repeat …' }).click()
    await page.getByRole('textbox', { name: 'Copies' }).fill('3')
    await page.getByRole('textbox', { name: 'Copies' }).press('Enter')
    await page.getByRole('button', { name: 'Make 3 copies' }).click()
    await expect(tray.getByRole('heading', { name: '3 blocks' })).toBeVisible()
    await page.keyboard.press('Control+a')
    await tray.getByRole('button', { name: 'Share out the columns' }).click()
    await order
      .getByRole('button', { name: /^Group.* 3 col$/ })
      .nth(2)
      .click()
    await figure('Space before', '-10')
  },
  async check(measured) {
    const boxes = await measured(['#problem > div'])
    for (const width of [1920, 1280]) {
      const [plans] = boxes.get(width)!
      // 1120 px of twelve columns and eleven gutters of 24 px.
      for (const plan of plans!) near(plan.width, (1120 - 3 * 24) / 4)
      near(plans![2]!.height - plans![1]!.height, 10)
      near(plans![1]!.top - plans![2]!.top, 10)
    }
  },
})

built('a footer on 7, 2, 2 and 1 columns', {
  async build(page) {
    const { section, block, words, figure, out } = designer(page)
    await section('Contact')
    for (const [n, columns] of [7, 2, 2, 1].entries()) {
      await block('Group')
      await figure('Columns spanned', String(columns))
      await words('Text', ['Hollin Ridge Observatory', 'Nights', 'Hill', 'Up'][n]!)
      await out()
      await out()
    }
  },
  async check(measured) {
    const boxes = (await measured(['#contact > div'])).get(1280)![0]!
    const column = (1120 - 11 * 24) / 12
    boxes.forEach((box, n) => near(box.width, [7, 2, 2, 1][n]! * column + ([7, 2, 2, 1][n]! - 1) * 24))
    expect(rowsOf(boxes)).toEqual([4])
  },
})

built('rows of a fixed height, content and the rest, with one block over two of them', {
  async build(page) {
    const { section, block, words, figure, choose, out } = designer(page)
    await section('People')
    await block('Group')
    await choose('Layout', 'Grid')
    await figure('Own columns', '2')
    await figure('Heights of rows', '120 px, content')
    await figure('Gap down', '8')
    await words('Text', 'One')
    await figure('Columns spanned', '1')
    await figure('Rows spanned', '2')
    for (const said of ['Two', 'Three']) {
      await out()
      await words('Text', said)
      await figure('Columns spanned', '1')
    }
  },
  async check(measured) {
    const boxes = await measured(['#people > div', '#people > div > *'])
    for (const width of [1280, 375]) {
      const [[group], [one, two, three]] = boxes.get(width) as [Box[], Box[]]
      near(one!.top, group!.top)
      near(two!.top, group!.top)
      near(three!.top, two!.top + 120 + 8)
      near(two!.left, three!.left)
    }
  },
})

test('paddings are dragged on the page, and take a space of the guide when they come near it', async ({ page, app }) => {
  await openBare(page, app)
  const { section, block, figure, words, out, tray } = designer(page)
  await section('Story')
  await block('Group')
  await figure('Padding top and bottom', '40')
  await words('Text', 'Between two paddings')
  await out()
  await expect(tray.getByRole('heading', { name: 'Group', exact: true })).toBeVisible()
  await page.keyboard.press('1')
  await page.keyboard.press('d')
  const top = page.locator('[data-view="1280"] [data-space="paddingTop"]')
  await top.scrollIntoViewIfNeeded()
  const from = (await top.boundingBox())!
  const scale = from.height / 40
  const drag = async (by: number) => {
    await page.mouse.move(from.x + 60, from.y + 5)
    await page.mouse.down()
    await page.mouse.move(from.x + 60, from.y + 5 + (by * scale) / 2)
    await page.mouse.move(from.x + 60, from.y + 5 + by * scale)
    await page.mouse.up()
  }
  // One of the two is another from here on, so that each side has a field.
  await drag(13)
  await expect(tray.getByRole('textbox', { name: 'Padding top', exact: true })).toHaveValue('53 px')
  await drag(10.5)
  await expect(tray.getByRole('textbox', { name: 'Padding top', exact: true })).toHaveValue(/^space-/)
  await page.keyboard.press('Control+z')
  await expect(tray.getByRole('textbox', { name: 'Padding top', exact: true })).toHaveValue('53 px')
})

test('a block that is seen before one that is read before it is said to be, and goes back in one press', async ({ page, app }) => {
  await openBare(page, app)
  const { section, words, figure, out, tray } = designer(page)
  await section('Story')
  await words('Heading', 'Read first')
  await out()
  await words('Text', 'Read second')
  await figure('Order', '-1')
  await expect(tray.getByText(/Text is read after Heading, but seen before it at 1280/)).toBeVisible()
  await tray.getByRole('button', { name: 'Put the order back' }).click()
  await expect(tray.getByText(/is read after/)).toHaveCount(0)
})

test('a sticky block says how far it holds, and holds so far', async ({ page, app }) => {
  await openBare(page, app)
  const { section, block, words, figure, choose, out } = designer(page)
  await section('Story')
  await block('Group')
  await choose('Layout', 'Grid')
  await figure('Own columns', '2')
  await figure('Padding top and bottom', '32')
  await words('Text', 'Tall')
  await figure('Columns spanned', '1')
  await figure('Height, least', '700')
  await out()
  await words('Text', 'Stays')
  await figure('Columns spanned', '1')
  await choose('Stands', 'Sticky')
  await choose('In its place, down', 'Start')
  const said = page.locator('[data-view="1280"] [data-sticky]')
  await expect(said).toBeAttached()
  const way = Number(await said.getAttribute('data-sticky'))
  await section('Contact')
  await figure('Height, least', '120 vh')
  await saved(page)

  const id = /sites\/([\w-]{10})/.exec(page.url())![1]!
  await page.setViewportSize({ width: 1280, height: 500 })
  await page.goto(`${app.url}/visit/${id}/index.html`)
  const top = () => page.getByText('Stays', { exact: true }).evaluate((one) => one.getBoundingClientRect().top + scrollY)
  const rest = await top()
  await page.evaluate(() => scrollTo(0, document.documentElement.scrollHeight))
  expect(way).toBeGreaterThan(300)
  expect(Math.abs((await top()) - rest - way)).toBeLessThanOrEqual(1)
})
