import { chromium, type Page } from '@playwright/test'
import { existsSync, mkdirSync } from 'node:fs'
import { removeFolder } from '#server/remove-folder'
import { composed, expect, finish, start, temporaryFolder } from '../e2e/application'
import { designer } from '../e2e/designer'
import { press } from '../e2e/views'
import { CHROMIUM } from '../playwright.config'

// Takes the pictures of the main views in docs/screenshots, from the demo data in a database of its own.
const FOLDER = process.argv[2] ?? 'docs/screenshots'

/** True once the fonts and the pictures in sight of a document are there. */
async function isThere() {
  // One that waits until it is near may never be fetched in a frame that is cut off.
  const near = [...document.images].filter(
    (image) => image.getBoundingClientRect().top < innerHeight && (image.loading !== 'lazy' || image.complete),
  )
  await document.fonts.ready
  const all = await Promise.all(
    near.map((image) =>
      image.decode().then(
        () => image.naturalWidth > 0,
        () => false,
      ),
    ),
  )
  return all.every(Boolean)
}

/** Waits until what is in sight in each frame is there: fonts and pictures. */
async function decoded(page: Page) {
  for (const frame of page.frames()) {
    await frame.locator('body').waitFor()
    // Another file of a picture may be chosen while its frame takes its size, so it is asked until all are there.
    await expect.poll(() => frame.evaluate(isThere), { timeout: 10_000 }).toBe(true)
  }
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))
}

/** Opens another step of the work by its place in the path. */
async function step(page: Page, name: string) {
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name }).click()
  await page.waitForURL(new RegExp(`/${name.toLowerCase()}$`))
}

/** Each view by its file name, in the order that they are reached. */
const SHOTS: [string, (page: Page, url: string) => Promise<void>][] = [
  ['sites', (page, url) => page.goto(url).then(() => undefined)],
  [
    'brief',
    async (page) => {
      await page.getByRole('link', { name: 'Open Hollin Ridge Observatory' }).click()
      await composed(page)
      await step(page, 'Brief')
      await page.frameLocator('[data-live] iframe').locator('h1').waitFor()
    },
  ],
  [
    'copy',
    async (page) => {
      await step(page, 'Copy')
      await page.frameLocator('[data-live] iframe').locator('h1').waitFor()
      await page.locator('[data-deck]').getByText('Two hours under one').click()
    },
  ],
  [
    'references',
    async (page) => {
      await step(page, 'References')
      await page.locator('[data-card=picture]').first().getByRole('button').click()
      await page.locator('[data-palette] li').first().waitFor()
      await page.locator('[aria-label="Picture library"] img').first().waitFor()
    },
  ],
  [
    'compose',
    async (page) => {
      await step(page, 'Compose')
      await composed(page)
      await press(page, 1280, 'h1')
      await page.getByRole('region', { name: 'Tray' }).getByRole('heading', { name: 'Heading', exact: true }).waitFor()
    },
  ],
  [
    'chooser',
    async (page) => {
      await page
        .getByRole('complementary', { name: 'Running order' })
        .getByRole('button', { name: /^03 Reasons/ })
        .click()
      await page.keyboard.press('s')
      await page.locator('[data-arrangement]').first().waitFor()
    },
  ],
  [
    'why',
    async (page) => {
      await page.keyboard.press('Escape')
      await page.locator('[data-arrangement]').first().waitFor({ state: 'detached' })
      await press(page, 1280, '#reasons > div:nth-of-type(2) > h3')
      await page.getByRole('combobox', { name: 'In its place, down' }).click()
      await page.getByRole('option', { name: 'End' }).click()
      await page.getByText(/nothing to stand in/).waitFor()
    },
  ],
  [
    'pictures',
    async (page) => {
      await page.keyboard.press('Control+z')
      await page.keyboard.press('i')
      const dialog = page.getByRole('dialog', { name: 'Pictures' })
      await dialog.getByRole('button', { name: /^the-stove/ }).click()
      await dialog.getByText(/^sRGB/).waitFor()
      await dialog.getByRole('list', { name: 'Dominant colours' }).getByRole('listitem').first().waitFor()
    },
  ],
  [
    'heat',
    async (page) => {
      await page.keyboard.press('Escape')
      await page.getByRole('dialog').waitFor({ state: 'detached' })
      await press(page, 1280, 'h1')
      const tray = page.getByRole('region', { name: 'Tray' })
      await tray.getByRole('button', { name: /^Ink: / }).click()
      // A violet that can be read over the night, and not over the dusk.
      await page.getByRole('textbox', { name: 'Ink, hex' }).fill('8f83c4')
      await page.keyboard.press('Escape')
      await tray.getByText(/is needed \(WCAG/).waitFor()
      await tray.getByRole('button', { name: 'Where could they stand?' }).click()
      for (const width of [1280, 768, 375]) await page.locator(`[data-view="${width}"] [data-heat] canvas`).waitFor()
      await tray.getByRole('button', { name: 'Hide the heat' }).scrollIntoViewIfNeeded()
    },
  ],
  [
    'motion',
    async (page) => {
      await page.getByRole('region', { name: 'Tray' }).getByRole('button', { name: 'Hide the heat' }).click()
      // What was tried for the pictures before is taken back.
      const undo = page.getByRole('button', { name: /^(Undo|Nothing to undo)/ })
      for (let n = 0; n < 12 && (await undo.isEnabled()); n++) await undo.click()
      await page.keyboard.press('j')
      await press(page, 1280, 'h1')
      const tray = page.getByRole('region', { name: 'Tray' })
      await tray.getByRole('combobox', { name: 'Add a motion' }).click()
      await page.getByRole('option', { name: 'Scrub' }).click()
      await tray.getByRole('combobox', { name: 'Grows and turns about' }).click()
      await page.getByRole('option', { name: 'its left' }).click()
      const playhead = page.getByRole('slider', { name: 'Playhead' })
      await playhead.focus()
      for (const key of ['Shift+ArrowDown', 'Shift+ArrowDown', 'ArrowDown', 'ArrowDown']) await page.keyboard.press(key)
      await playhead.blur()
      await page.locator('[data-stage]').evaluate((stage) => stage.scrollTo({ top: 0 }))
      await page.locator('[data-playhead-line="375"]').waitFor({ state: 'attached' })
    },
  ],
  [
    'states',
    async (page) => {
      await page.getByRole('button', { name: /^Undo/ }).click()
      await page.getByRole('button', { name: /^Undo/ }).click()
      await page.keyboard.press('j')
      await press(page, 1280, 'section a[class*="button"]')
      const tray = page.getByRole('region', { name: 'Tray' })
      await tray.getByRole('tab', { name: 'States' }).click()
      await tray.getByRole('button', { name: 'Hover', exact: true }).click()
      await tray.getByRole('textbox', { name: 'Lift' }).fill('4')
      await page.keyboard.press('Enter')
      await page.locator('[data-states] button').nth(3).waitFor()
    },
  ],
  [
    'style',
    async (page) => {
      await page.getByRole('button', { name: /^Undo/ }).click()
      await step(page, 'Style')
      await page.frameLocator('section [data-live] iframe').first().locator('h1').waitFor()
      await page.locator('[data-role=link]').click()
      await page
        .getByText(/Its fills cover|Not used|On this page/)
        .first()
        .waitFor()
    },
  ],
  [
    'contrast',
    async (page) => {
      // A paler ink, to show what is offered for pairs that fall short.
      await page.locator('[data-role=ink-soft]').click()
      await page.getByRole('textbox', { name: 'Hex of ink-soft', exact: true }).fill('9a9db0')
      await page.locator('[data-short]').first().waitFor()
      await page.locator('[data-role=ink-soft]').click()
      await page.getByRole('link', { name: 'Contrast' }).click()
      await page.locator('[data-pair="ink-soft panel"]').click()
      await page.getByRole('button', { name: 'deuteranopia' }).click()
    },
  ],
  [
    'play',
    async (page) => {
      await page.getByRole('button', { name: 'all colours' }).click()
      await page.getByRole('button', { name: 'Undo colour roles' }).click()
      await step(page, 'Compose')
      await composed(page)
      await page.getByRole('link', { name: 'Play page' }).click()
      await page.getByRole('group', { name: 'Widths of the views' }).getByRole('button', { name: '768' }).click()
      await page.frameLocator('iframe').locator('h1').waitFor()
      await page.locator('[data-played-lines]').waitFor()
    },
  ],
  [
    'deliver',
    async (page) => {
      await page.getByRole('link', { name: /Deliver/ }).click()
      await page.getByRole('button', { name: /^style\.css/ }).click()
      await page.frameLocator('iframe').locator('h1').waitFor()
      // Its window takes its size once the page is there, and with that the file of the opening picture that it needs.
      const opening = page.frameLocator('iframe').locator('.opening-picture img')
      await expect.poll(() => opening.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThanOrEqual(1280)
    },
  ],
  [
    'check',
    async (page) => {
      await step(page, 'Compose')
      await composed(page)
      const { section, words, figure, tray } = designer(page)
      await section('Work')
      await words('Heading', 'Spectrohelioscope')
      await tray.getByRole('button', { name: /^Below 640/ }).click()
      await figure('Columns spanned', '2')
      await step(page, 'Check')
      const broken = page.locator('[data-finding=brokenWord]')
      await broken.getByRole('button').first().click()
      // Every px of the page first, and then of its section with each repair.
      const repair = broken.getByRole('group', { name: 'Repairs' }).getByRole('button').first()
      await repair.waitFor({ timeout: 300_000 })
      await repair.focus()
      await expect.poll(() => page.locator('main [data-live]').evaluate((one) => one.scrollTop)).toBeGreaterThan(100)
    },
  ],
  [
    'launch',
    async (page) => {
      await page.getByRole('tab', { name: 'Launch' }).click()
      await page.locator('[data-unknown]').waitFor()
      await page.locator('[data-swept]').waitFor({ timeout: 300_000 })
    },
  ],
  [
    'shared',
    async (page) => {
      await step(page, 'Compose')
      await composed(page)
      await page
        .getByRole('button', { name: /^11 Work/ })
        .first()
        .click()
      await page.keyboard.press('Delete')
      await page.getByRole('button', { name: 'Autumn nights', exact: true }).click()
      await page.getByRole('menuitem', { name: 'The instruments' }).click()
      await composed(page)
      await page.frameLocator('[data-view="1280"] iframe').getByRole('heading', { name: 'Three telescopes and a stove' }).waitFor()
      await press(page, 1280, '#work > div:nth-of-type(2) img')
      await page.keyboard.press('Escape')
      await page.keyboard.press('Escape')
    },
  ],
  [
    'trouble',
    async (page) => {
      await page.getByRole('button', { name: 'The instruments', exact: true }).click()
      await page.getByRole('menuitem', { name: 'Autumn nights' }).click()
      await composed(page)
      await page.frameLocator('[data-view="1280"] iframe').getByRole('heading', { name: 'Bring a coat' }).waitFor()
      await page.keyboard.press('e')
      await page.getByRole('combobox', { name: 'What the page is put to' }).click()
      await page.getByRole('option', { name: 'Words 40 % longer' }).click()
      await page.getByText(/faults? at some widths/).waitFor({ timeout: 300_000 })
    },
  ],
]

/** Pictures of pages as visitors get them: to end what follows the scroll would scroll them past their opening. */
const LIVE: ReadonlySet<string> = new Set(['play', 'deliver'])

const data = temporaryFolder()
await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
const app = await start(data)
const browser = await chromium.launch({
  ...CHROMIUM,
  // The headless shell, in which tests run, sets letters on whole px.
  executablePath: process.env.CHROMIUM_PATH ?? ['/usr/bin/chromium'].find(existsSync) ?? CHROMIUM.executablePath,
})
try {
  mkdirSync(FOLDER, { recursive: true })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  for (const [name, reach] of SHOTS) {
    await reach(page, app.url)
    await decoded(page)
    await page.mouse.move(640, 780)
    await page.screenshot({ path: `${FOLDER}/${name}.png`, animations: LIVE.has(name) ? 'allow' : 'disabled' })
    console.log(name)
  }
} finally {
  await browser.close()
  await app.stop('SIGKILL')
  removeFolder(data)
}
