import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { ORCHARD } from '#core/outlines/orchard.fixture'
import { openBare } from './sweep.fixture'
import { type Application, awake, composed, expect, saved, test } from './application'
import { seriousOn, DISABLED } from './axe'
import { designer } from './designer'

// Whole jobs as designers do them, with words, pictures and companies that no other test has.

/** Time between two keys of somebody who types fast, ms. */
const FAST = 20

const path = (page: Page) => page.getByRole('navigation', { name: 'Path of the work' })

/** A new site on its screen of copy. */
async function newSite(page: Page, app: Application, name: string, tone: string): Promise<void> {
  await page.goto(app.url)
  await page.getByRole('button', { name: 'New site' }).click()
  await page.getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Create the site' }).click()
  await page.waitForURL(/brief$/)
  await page.getByLabel('Tone').fill(tone)
  await path(page).getByRole('link', { name: 'Copy' }).click()
  await page.waitForURL(/copy$/)
  await awake(page)
}

/** Takes a text into the copy deck, and lays its sections out by the outline of the deck. */
async function laidOut(page: Page, text: string, sections: number): Promise<void> {
  await page.getByRole('button', { name: 'Import' }).click()
  await page.getByLabel('Text to import').fill(text)
  await page.getByRole('button', { name: 'Import', exact: true }).last().click()
  await saved(page)
  await path(page).getByRole('link', { name: 'Brief' }).click()
  await page.getByRole('button', { name: `Lay out ${sections} sections` }).click()
  await saved(page)
}

const siteOf = (page: Page) => /sites\/([\w-]{10})/.exec(page.url())![1]!

test('an orchard: its deck becomes a page, with numbers, two calls on a line, prices and a page to thank; then by keys alone', async ({
  page,
  app,
}) => {
  await newSite(page, app, 'Medlar Hill Orchard', 'Friendly, kind')
  await laidOut(page, ORCHARD, 5)

  const visit = await page.context().newPage()
  await visit.setViewportSize({ width: 1280, height: 800 })
  await visit.goto(`${app.url}/visit/${siteOf(page)}/index.html`)
  await expect(visit.locator('h1')).toHaveText('An apple tree of your own, without a garden')
  await expect(visit.locator('ol > li')).toHaveCount(3)
  const calls = await visit.locator('main section, main .band').first().locator('a[class*=button]').all()
  const [first, second] = await Promise.all(calls.map((one) => one.boundingBox()))
  expect(second!.x).toBeGreaterThan(first!.x + first!.width)
  expect(Math.abs(second!.y - first!.y)).toBeLessThan(1)
  await expect(visit.getByText('£64 a year')).toBeVisible()
  await expect(visit.getByRole('link', { name: 'Take a young tree' })).toHaveAttribute('href', 'thank-you.html')
  // The header stays on one row, folded where there is no room.
  for (const width of [1280, 768, 375]) {
    await visit.setViewportSize({ width, height: 800 })
    const parts = await visit.locator('header :is(a, button):visible').all()
    const boxes = await Promise.all(parts.map((one) => one.boundingBox()))
    const middles = boxes.map((box) => box!.y + box!.height / 2)
    expect([width, Math.max(...middles) - Math.min(...middles) < 12]).toEqual([width, true])
  }
  await visit.close()

  // By keys alone: a text is selected, and what is typed at once is typed into it.
  await path(page).getByRole('link', { name: 'Compose' }).click()
  await composed(page)
  const order = page.getByRole('complementary', { name: 'Running order' })
  const heading = page.frameLocator('[data-view="1280"] iframe').locator('h1')
  await heading.click()
  await page.keyboard.type('Or two, by the bank of the brook', { delay: FAST })
  await page.keyboard.press('Escape')
  await expect(heading).toHaveText('An apple tree of your own, without a gardenOr two, by the bank of the brook')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(heading).toHaveText('An apple tree of your own, without a garden')
  // A single letter is a command, as ever.
  await page.keyboard.press('h')
  await expect(page.getByRole('button', { name: 'Undo hide' })).toBeVisible()
  await page.keyboard.press('h')

  // Enter on a row of the tree edits its words; what Enter makes there looks as what it follows.
  await page.keyboard.press('Escape')
  const row = order.locator('[data-row]').filter({ hasText: 'Choose a tree in March' })
  await row.focus()
  await page.keyboard.press('Enter')
  await expect(page.frameLocator('[data-view="1280"] iframe').getByRole('textbox', { name: 'Words' })).toBeFocused()
  await page.keyboard.press('Enter')
  await page.keyboard.type('Dogs may come.', { delay: FAST })
  await page.keyboard.press('Escape')
  const sizes = await page
    .frameLocator('[data-view="1280"] iframe')
    .locator('p', { hasText: /Choose a tree in March|Dogs may come/ })
    .evaluateAll((all) => all.map((one) => getComputedStyle(one).fontSize))
  expect(sizes).toHaveLength(2)
  expect(sizes[1]).toBe(sizes[0])
})

test('a bell foundry: five weights share a row, paddings of each side and exact heights, typed in the table and measured', async ({
  page,
  app,
}) => {
  await openBare(page, app)
  const { section, block, words, tray, order, figure, choose, out } = designer(page)
  await section('Reasons')
  await figure('Height', '520')
  await block('Group')
  await choose('Layout', 'Grid')
  for (const weight of ['A hand bell', 'A ship’s bell', 'A school bell', 'A tower bell', 'A bourdon']) {
    await words('Text', weight)
    await out()
  }
  const rows = order.locator('[data-row]').filter({ hasText: /bell|bourdon/ })
  // The group is called by its first words, and stands above them.
  await expect(rows.first()).toContainText('Group')
  await rows.nth(1).click()
  for (let n = 2; n <= 5; n++) await rows.nth(n).click({ modifiers: ['Shift'] })
  await tray.getByRole('button', { name: 'Share out the columns' }).click()
  await expect(tray.getByText(/12 columns cannot be shared out equally among 5 blocks/)).toBeVisible()
  await tray.getByRole('button', { name: 'Give them 5 columns of their own' }).click()

  // One of them has paddings of its own, and its words at the bottom of a box that is exactly as high as it should be.
  await rows.nth(1).click()
  await tray.getByRole('button', { name: 'A field for each side' }).click()
  await figure('Padding left', '40')
  await figure('Padding right', '8')
  await figure('Height', '160')
  await choose('Words at', 'The bottom')
  await order.locator('[data-row]').first().click()
  await saved(page)

  const visit = await page.context().newPage()
  await visit.setViewportSize({ width: 1280, height: 800 })
  await visit.goto(`${app.url}/visit/${siteOf(page)}/index.html`)
  const boxes = await visit.locator('p').evaluateAll((all) =>
    all.map((one) => {
      const range = document.createRange()
      range.selectNodeContents(one)
      const [box, text] = [one.getBoundingClientRect(), range.getBoundingClientRect()]
      return { left: box.left, width: box.width, height: box.height, before: text.left - box.left, under: box.bottom - text.bottom }
    }),
  )
  expect(boxes).toHaveLength(5)
  for (const { width } of boxes) expect(width).toBeCloseTo(boxes[0]!.width, 1)
  const gaps = boxes.slice(1).map((one, n) => one.left - boxes[n]!.left - boxes[n]!.width)
  for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0]!, 1)
  expect(boxes[0]!.height).toBeCloseTo(160, 1)
  expect(boxes[0]!.before).toBeCloseTo(40, 0)
  expect(boxes[0]!.under).toBeLessThan(6)
  expect(await visit.locator('#reasons').evaluate((one) => one.getBoundingClientRect().height)).toBeCloseTo(520, 1)
  await visit.close()

  // A value of the table of exceptions is typed where it stands.
  await rows.nth(1).click()
  await tray.getByRole('button', { name: 'Below 640' }).click()
  await figure('Height', '90')
  await tray.getByRole('button', { name: 'Table of exceptions' }).click()
  const dialog = page.getByRole('dialog')
  const cell = dialog.getByRole('textbox', { name: /^Height of .*below 1024, value$/ })
  await cell.fill('120')
  await cell.press('Enter')
  await cell.blur()
  await expect(dialog.getByRole('textbox', { name: /^Height of .*below 1024, value$/ })).toHaveValue('120 px')
  await expect(dialog.getByRole('textbox', { name: /^Height of .*below 640, value$/ })).toHaveValue('90 px')
})

/** A picture with light and dark in it, of a glowing thing. */
const bead = () =>
  sharp(
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="800"><defs><radialGradient id="g"><stop stop-color="#ffe9b0"/><stop offset=".6" stop-color="#c4421a"/><stop offset="1" stop-color="#120a14"/></radialGradient></defs><rect width="1200" height="800" fill="url(#g)"/></svg>',
    ),
  )
    .jpeg({ quality: 90 })
    .toBuffer()

const KILN = `# Kiln Street Glass

## Opening

*Evenings, by the furnace*

# Blow a bead while the city goes home

Two hours, one furnace, and a bead that nobody else has.

[Book a bench](thank-you.html)

## What happens

#### You choose the colour

There are forty, and one that we cannot name.

#### You breathe

Slowly, as into cold hands.

#### It cools

Overnight, in ash. We post it.

## Last call

### The furnace is lit from six

[Book a bench](thank-you.html)
`

/** Screens that a style guide is seen on. */
const SCREENS = ['compose', 'style', 'check', 'play', 'deliver'] as const

/** Goes through the main screens, and notes what axe finds serious on them, and what they complain of. */
async function throughScreens(page: Page, app: Application, pageId: string, name: string): Promise<void> {
  const complaints: string[] = []
  page.on('pageerror', (error) => complaints.push(error.message))
  for (const screen of SCREENS) {
    await page.goto(`${app.url}/sites/${siteOf(page)}/pages/${pageId}/${screen}`, { waitUntil: 'commit' })
    await (screen === 'compose' ? composed(page) : awake(page))
    expect([name, screen, await seriousOn(page, DISABLED)]).toEqual([name, screen, []])
  }
  expect([name, complaints]).toEqual([name, []])
}

test('a glass workshop in a dark guide: its picture keeps its light and dark, its rings are seen, all screens show it', async ({
  page,
  app,
}) => {
  await newSite(page, app, 'Kiln Street Glass', 'Elegant, dark, festive')
  await laidOut(page, KILN, 3)
  const pageId = /pages\/([\w-]+)\//.exec(page.url())![1]!
  await path(page).getByRole('link', { name: 'Style' }).click()
  const plate = page.locator('[data-first-guide]').first()
  await expect(plate).toHaveAttribute('data-first-guide', 'Evening')
  await plate.getByRole('button', { name: /^Take/ }).click()
  await saved(page)

  await path(page).getByRole('link', { name: 'Compose' }).click()
  await composed(page)
  const { tray, order, block } = designer(page)
  await order
    .getByRole('button', { name: /Opening/ })
    .first()
    .click()
  await block('Picture')
  await tray.getByLabel('Upload a picture').setInputFiles({ name: 'bead.jpg', mimeType: 'image/jpeg', buffer: await bead() })
  await tray.getByRole('button', { name: 'In ink and ground' }).click()
  await saved(page)

  const visit = await page.context().newPage()
  await visit.setViewportSize({ width: 1280, height: 800 })
  await visit.goto(`${app.url}/visit/${siteOf(page)}/index.html`)
  const image = visit.locator('main img').last()
  await image.scrollIntoViewIfNeeded()
  await image.evaluate((one) => (one as HTMLImageElement).decode())
  // In two tones it still has its light and its dark, whichever of the roles is which in a dark guide.
  const { channels } = await sharp(await image.screenshot()).stats()
  for (const one of channels.slice(0, 3)) expect(one.max - one.min).toBeGreaterThan(120)
  // What has the focus has a ring that stands out of the ground.
  const call = visit.getByRole('link', { name: 'Book a bench' }).first()
  await visit.keyboard.press('Tab')
  await call.focus()
  const [ring, ground] = await call.evaluate((one) => [
    getComputedStyle(one).outlineColor,
    getComputedStyle(document.body).backgroundColor,
  ])
  const light = (text: string) => {
    const [r, g, b] = text
      .match(/[\d.]+/g)!
      .map((n) => (Number(n) / 255 <= 0.04045 ? Number(n) / 255 / 12.92 : ((Number(n) / 255 + 0.055) / 1.055) ** 2.4))
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
  }
  const [a, b] = [light(ring!), light(ground!)]
  expect((Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)).toBeGreaterThan(3)
  await visit.close()

  await throughScreens(page, app, pageId, 'Evening')
})

test('@proof every first guide, light and dark, through every main screen', async ({ page, app }) => {
  await newSite(page, app, 'Kiln Street Glass', 'Plain')
  await laidOut(page, KILN, 3)
  const pageId = /pages\/([\w-]+)\//.exec(page.url())![1]!
  await path(page).getByRole('link', { name: 'Style' }).click()
  await expect(page.locator('[data-first-guide]')).toHaveCount(6)
  const names = await page
    .locator('[data-first-guide]')
    .evaluateAll((all) => all.map((one) => one.getAttribute('data-first-guide')!))
  for (const name of names) {
    await page.goto(`${app.url}/sites/${siteOf(page)}/pages/${pageId}/style`, { waitUntil: 'commit' })
    await awake(page)
    const plates = page.locator(`[data-first-guide="${name}"]`)
    if (!(await plates.isVisible()))
      await page
        .getByRole('button', { name: /first guides|begin with/i })
        .first()
        .click()
    await plates.getByRole('button', { name: /^Take/ }).click()
    await saved(page)
    await throughScreens(page, app, pageId, name)
  }
})
