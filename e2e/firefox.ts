import { removeFolder } from '#server/remove-folder'
/** The main job in stock Firefox: composing by keyboard, words in place, Style and Play. Run by `npm run test:firefox`. */
import puppeteer, { type Page } from 'puppeteer-core'
import { finish, start, temporaryFolder } from './application'

const data = temporaryFolder()
await finish('npx', ['tsx', 'bin/seed.ts'], { YARROWFINCH_DATA: data })
const app = await start(data)
const browser = await puppeteer.launch({
  browser: 'firefox',
  executablePath: process.env.FIREFOX_PATH ?? '/usr/bin/firefox-esr',
  headless: true,
  defaultViewport: { width: 1280, height: 800 },
})

let [passed, failed] = [0, 0]
async function check(what: string, work: () => Promise<void>): Promise<void> {
  try {
    await work()
    passed++
    console.log(`  ✓ ${what}`)
  } catch (error) {
    failed++
    console.error(`  ✗ ${what}: ${(error as Error).message}`)
  }
}

const LIMIT = { timeout: 60_000 }
const go = async (page: Page, step: string) => {
  await page.locator(`nav[aria-label="Path of the work"] a[href$="/${step}"]`).setTimeout(60_000).click()
  await page.waitForFunction((wanted) => location.pathname.endsWith(wanted), LIMIT, `/${step}`)
}
/** Waits for something in the view of a width. */
const inView = (page: Page, width: number, selector: string, text: string) =>
  page.waitForFunction(
    (px, wanted, words) =>
      [
        ...(document.querySelector<HTMLIFrameElement>(`[data-view="${px}"] iframe`)?.contentDocument?.querySelectorAll(wanted) ??
          []),
      ].some((one) => one.textContent?.includes(words)),
    LIMIT,
    width,
    selector,
    text,
  )

try {
  const page = await browser.newPage()
  await check('a new site opens at the brief', async () => {
    await page.goto(app.url)
    await page.locator('::-p-text(New site)').click()
    await page.waitForSelector('input[name=name]')
    await page.keyboard.type('Ferry Lane Boatyard')
    await page.keyboard.press('Enter')
    await page.waitForFunction(() => location.pathname.endsWith('/brief'), LIMIT)
  })
  await check('a section is added from the chooser, and words are typed in place', async () => {
    await go(page, 'compose')
    await page.waitForSelector('[data-view="375"] iframe', LIMIT)
    await page.keyboard.press('a')
    await page.locator('[data-arrangement="opening-statement"]').setTimeout(60_000).click()
    await inView(page, 1280, '.band', '')
    await page.locator('[data-stage]').wait()
    for (const key of ['Enter', 'Enter', 'Enter'] as const) await page.keyboard.press(key)
    await page.keyboard.type('The river is slower than you')
    for (const width of [1280, 768, 375]) await inView(page, width, '.band', 'The river is slower than you')
    await page.keyboard.press('Escape')
    await page.keyboard.press('g')
    await page.waitForSelector('button[aria-label="Column grid (G)"][aria-pressed=true]', LIMIT)
  })
  await check('six first guides are shown, and one becomes the style', async () => {
    await go(page, 'style')
    await page.waitForSelector('[data-first-guide] iframe', LIMIT)
    await page.locator('[data-first-guide="Evening"] button').setTimeout(60_000).click()
    await page.waitForFunction(() => document.querySelector('[aria-label="Directions"]')?.textContent?.includes('Evening'), LIMIT)
  })
  await check('the page plays', async () => {
    await page.locator('::-p-text(Play page)').click()
    await page.waitForFunction(() => location.pathname.endsWith('/play'), LIMIT)
    const frame = await page.waitForSelector('iframe', LIMIT)
    const inner = await frame!.contentFrame()
    await inner.waitForFunction(() => document.body.textContent?.includes('The river is slower than you'), LIMIT)
  })
  await check('scroll bars are of the application’s colours', async () => {
    const colour = await page.evaluate(() => getComputedStyle(document.documentElement).scrollbarColor)
    if (colour === 'auto') throw new Error('they are the browser’s own')
  })
} finally {
  await browser.close()
  await app.stop('SIGKILL')
  removeFolder(data)
}
console.log(`${passed} passed, ${failed} failed`)
process.exitCode = failed === 0 ? 0 : 1
