import type { Page } from '@playwright/test'
import { composed, expect, openScreen, openSite, saved, test } from './application'
import { middle, onScreen } from './views'

/** The copy of an observatory's landing page, as a copywriter would send it. */
const COPY = `# Autumn nights

## Header

- [Hollin Ridge Observatory](index.html)

[Book an evening](mailto:evenings@hollinridge.example)

## Opening

*Public evenings, September to March*

### Bring a coat. We will bring the galaxies.

Two hours under one of the darkest skies in the county.

[Book an autumn night](mailto:evenings@hollinridge.example)

## Reasons

### Why people come up the hill

#### Skies without street lamps

Eleven kilometres from the nearest village.

#### A telescope each

Twelve instruments on the terrace.

#### Tea that stays hot

The stove is lit from dusk.

## Plan

### Three steps to Saturn

*First*

#### Pick a night

Choose a Friday or a Saturday.

*Then*

#### Wrap up

Hat, gloves, the coat you think is too much.

## Prices

### Memberships

#### Single

| £24 | a year |

- Four evenings

[Join alone](mailto:join@hollinridge.example)

#### Family

| £58 | a year |

- Eight evenings
- The children’s telescope

[Join together](mailto:join@hollinridge.example)

## Questions

### Before you ask

#### What if it rains?

We write by noon, and you choose another night.

#### May I bring the dog?

If it is asleep by nine.

## Closing

### The lanterns are out from six

[Book now, decide on socks later](mailto:evenings@hollinridge.example)
`

const wordsOf = (text: string) => new Set(text.toLowerCase().match(/[\p{L}\p{N}£]+/gu) ?? [])

/** Opens another step of the work by its place in the path. */
async function step(page: Page, name: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name }).click()
  await page.waitForURL(new RegExp(`/${name.toLowerCase()}$`))
}

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click()
  await page.getByRole('option', { name: option }).first().click()
}

const wide = (page: Page) => page.frameLocator('[data-view="1280"] iframe')

test('from a document and a brief to a wireframe at three widths, every word of which came from the document', async ({
  page,
  app,
}) => {
  await page.goto(app.url)
  await page.getByRole('button', { name: 'New site' }).click()
  await page.getByLabel('Name').fill('Hollin Ridge, from words')
  await page.getByRole('button', { name: 'Create the site' }).click()
  await page.waitForURL(/brief$/)

  await step(page, 'Copy')
  await page.getByRole('button', { name: 'Import' }).click()
  const files = page.locator('input[type=file]')
  await files.setInputFiles({
    name: 'broken.docx',
    mimeType: 'application/octet-stream',
    buffer: Buffer.from('PK\u0003\u0004 not a document'),
  })
  await expect(page.getByRole('alert')).toContainText('“broken.docx” is no Word document (.docx), or it is damaged.')
  await files.setInputFiles({ name: 'autumn.md', mimeType: 'text/markdown', buffer: Buffer.from(COPY) })
  await expect(page.getByText('Its headings match no page of this site:')).toBeVisible()
  await page.getByRole('button', { name: 'Import', exact: true }).last().click()
  await expect(page.locator('[data-counts]')).toContainText('39 unplaced')
  await expect(page.locator('[data-deck]')).toContainText('Three steps to Saturn')
  // The deck before the import is one undo away.
  await page.getByRole('button', { name: /^Undo import of autumn.md/ }).click()
  await expect(page.locator('[data-counts]')).toContainText('0 unplaced')
  await page.getByRole('button', { name: /^Redo/ }).click()
  await expect(page.locator('[data-counts]')).toContainText('39 unplaced')

  await step(page, 'Brief')
  await page.getByLabel('Who visits').fill('Families and beginners')
  await choose(page, 'Aim of the site', 'Book')
  await page.getByLabel('What is this?').fill('Two hours under dark skies')
  await page.getByLabel('Why should I care?').fill('One of the darkest skies in the county')
  await page.getByLabel('What do I do now?').fill('Book an autumn night')
  // The deck's own sections come first; the outline for the aim is one choice away.
  await expect(page.getByRole('combobox', { name: 'Outline' })).toContainText('As the copy deck has it')
  await choose(page, 'Outline', 'Book a time')
  for (const job of ['timetable', 'proof', 'footer']) await page.getByLabel(`Take the section ${job}`).uncheck()
  await page.getByRole('button', { name: 'Take 7 sections' }).click()
  // The verdicts follow the page: with the outline taken, the opening says what the brief answers.
  await expect(page.locator('[data-verdict=kept]')).toHaveCount(3)

  await step(page, 'Compose')
  await composed(page)
  const order = page.getByRole('complementary', { name: 'Running order' })
  await expect(order.locator('ol > li')).toHaveCount(7)

  // Two sections are re-set; the chooser shows them with the site's own words.
  await order.getByRole('button', { name: /^03 Reasons/ }).click()
  await page.keyboard.press('s')
  const chooser = page.getByRole('dialog', { name: 'Re-set Reasons' })
  await expect(chooser.locator('[data-shown]')).toHaveText('3 of 49')
  await expect(chooser.locator('[data-arrangement=reasons-icon-rows]')).toContainText('all words')
  await chooser.locator('[data-arrangement=reasons-icon-rows]').click()
  await order.getByRole('button', { name: /^02 Opening/ }).click()
  await page.keyboard.press('s')
  await page.locator('[data-arrangement=opening-split]').click()
  await expect(wide(page).locator('h1')).toHaveText('Bring a coat. We will bring the galaxies.')
  await expect(wide(page).locator('h4', { hasText: 'Tea that stays hot' })).toBeVisible()

  // The questions move before the prices.
  await order.getByRole('button', { name: /^06 Questions/ }).click()
  await page.keyboard.press('Alt+ArrowUp')
  await expect(order.getByRole('button', { name: /^05 Questions/ })).toBeVisible()

  await page.keyboard.press('w')
  const known = wordsOf(COPY)
  for (const width of [1280, 768, 375]) {
    const view = page.frameLocator(`[data-view="${width}"] iframe`)
    await expect(view.locator('.band')).toHaveCount(7)
    const words = wordsOf(await view.locator('main').innerText())
    for (const word of words) expect(known, `“${word}” at ${width} px`).toContain(word)
    expect(
      [...wordsOf(COPY.slice(COPY.indexOf('## Opening')).replace(/mailto\S+|^#+ \w+$/gm, ''))].filter((word) => !words.has(word)),
    ).toEqual([])
    const colours = await view
      .locator('h1, h2, p, a')
      .evaluateAll((all) => [...new Set(all.map((one) => getComputedStyle(one).color))])
    for (const colour of colours) expect(colour).toMatch(/^(rgb\((\d+), \2, \2\)|color)/)
    expect(await view.locator('h1').evaluate((heading) => getComputedStyle(heading).fontFamily)).toContain('Public Sans')
  }
  await saved(page)
})

test('the deck and the page say the same: typed in one, it is in the other; unplaced words are dragged onto the page', async ({
  page,
  app,
}) => {
  await openScreen(page, app, 'Hollin Ridge Observatory', 'copy')
  const live = page.frameLocator('[data-live="1280"] iframe')
  await expect(live.locator('h1')).toContainText('Bring a coat')
  const deck = page.locator('[data-deck] .cm-content')
  await deck.getByText('Bring a coat. We will bring the galaxies.').click()
  await page.keyboard.press('End')
  await page.keyboard.type(' And tea.')
  await expect(live.locator('h1')).toHaveText('Bring a coat. We will bring the galaxies. And tea.')
  await expect(page.locator('[aria-current=true]')).toContainText('And tea.')
  await page.keyboard.type('\n\nDogs are welcome.')
  await expect(page.locator('[data-counts]')).toContainText('1 unplaced')

  const waiting = page.locator('[data-unplaced]', { hasText: 'Dogs are welcome.' })
  await waiting.dragTo(page.locator('[data-live="1280"]'), { targetPosition: { x: 90, y: 125 } })
  await expect(page.locator('[data-counts]')).toContainText('0 unplaced')
  await expect(live.locator('header + main p', { hasText: 'Dogs are welcome.' })).toBeVisible()

  // Deleting a block keeps its words; typing on the page is in the deck.
  await step(page, 'Compose')
  await composed(page)
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: /^02 Opening/ }).click()
  await order.getByRole('button', { name: /^Button/ }).click()
  await page.keyboard.press('Delete')
  await expect(order.getByText('1 passage unplaced')).toBeVisible()
  const heading = middle(await onScreen(page, 1280, 'h1'))
  await page.mouse.dblclick(heading.x, heading.y)
  await expect(wide(page).locator('[contenteditable=true]')).toBeFocused()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' Always.')
  await page.keyboard.press('Escape')
  await saved(page)
  await step(page, 'Copy')
  await expect(deck).toContainText('And tea. Always.')
  await page.locator('[data-unplaced]', { hasText: 'Book an autumn night' }).getByRole('button', { name: 'Place' }).click()
  await expect(live.locator('main a', { hasText: 'Book an autumn night' }).first()).toBeVisible()

  await page.getByRole('button', { name: 'Search and replace' }).click()
  await page.getByLabel('Search for').fill('coat')
  await expect(page.locator('[data-hits]')).toHaveText('3 in 3 passages')
  await page.getByLabel('Replace by').fill('cloak')
  await page.getByRole('button', { name: 'Replace all' }).click()
  await expect(live.locator('h1')).toContainText('Bring a cloak.')
  await expect(deck).toContainText('Bring a cloak.')
  // What was replaced is counted, and taken back where it is said.
  const said = page.getByText(/^“coat” replaced by “cloak”: 3 times in /)
  await expect(said).toBeVisible()
  await page.locator('[data-sonner-toast]').filter({ has: said }).getByRole('button', { name: 'Undo' }).click()
  await expect(live.locator('h1')).toContainText('Bring a coat.')
})

test('the wire look is for one view or all, and is compared with the finished look at a line that is dragged', async ({
  page,
  app,
}) => {
  await openSite(page, app, 'Hollin Ridge Observatory')
  const faceAt = (width: number) =>
    page
      .frameLocator(`[data-view="${width}"] iframe`)
      .locator('h1')
      .evaluate((one) => getComputedStyle(one).fontFamily)
  await page.getByRole('button', { name: 'Wire look at 768' }).click()
  expect(await faceAt(768)).toContain('Public Sans')
  expect(await faceAt(1280)).toContain('Fraunces')
  const frame = page.frameLocator('[data-view="768"] iframe').locator('img').first()
  expect(await frame.getAttribute('src')).toMatch(/^data:image\/svg/)
  await page.keyboard.press('w')
  expect(await faceAt(1280)).toContain('Public Sans')
  await page.keyboard.press('w')
  expect(await faceAt(768)).toContain('Fraunces')

  await page.keyboard.press('Shift+W')
  const line = page.getByRole('separator', { name: /Line between/ })
  await expect(line).toHaveAttribute('aria-valuenow', '50')
  const box = (await line.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + 200)
  await page.mouse.down()
  await page.mouse.move(box.x + 250, box.y + 200, { steps: 4 })
  await page.mouse.up()
  expect(Number(await line.getAttribute('aria-valuenow'))).toBeGreaterThan(65)
  await line.press('ArrowLeft')
  await page.getByRole('button', { name: 'Back to the views' }).click()
  await composed(page)
})
