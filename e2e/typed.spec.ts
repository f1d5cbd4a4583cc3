import type { Locator, Page } from '@playwright/test'
import { addressOf, awake, composed, expect, openScreen, openSite, saved, test } from './application'

const SITE = 'Hollin Ridge Observatory'
/** Time between two keys of somebody who types fast, ms. */
const FAST = 20

/** Blocks whose trays are typed into: those with words of their own in every run, all in the long one. */
const KINDS = [
  'Heading',
  'Picture',
  ...(process.env.YARROWFINCH_PROOF ? ['Group', 'Table', 'Device', 'Form', 'Button', 'Video'] : []),
]

/** Screens with how many fields each has at least: those where words are written in every run, all in the long one. */
const SCREENS: [screen: string, least: number][] = [
  ['brief', 8],
  ['references', 1],
  ['check', 5],
  ...(process.env.YARROWFINCH_PROOF
    ? ([
        ['copy', 0],
        ['style', 10],
        ['deliver', 0],
      ] as [string, number][])
    : []),
]

/** Of how many fields one is typed into in a run that is not the long one, and which of them; it changes from day to day. */
const EVERY = process.env.YARROWFINCH_PROOF ? 1 : 3
const FIRST = Math.floor(Date.now() / 86_400_000) % EVERY

/** Makes this browser as slow as a machine that is busy with other things. */
async function loaded(page: Page, times = 3): Promise<void> {
  await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: times })
}

/** Fields with text that can be typed into, as they stand now. */
const fieldsIn = (part: Locator) =>
  part.locator(
    'input:visible:enabled:not([type=checkbox],[type=radio],[type=file],[type=range],[readonly]), textarea:visible:enabled',
  )

/**
 * Types into every field of a part, over what is there, and looks each time whether all of it stands there.
 * @returns the names of the fields that lost something, with what was left
 */
async function typeIntoAll(page: Page, part: Locator): Promise<{ tried: number; lost: string[] }> {
  const lost: string[] = []
  const fields = fieldsIn(part)
  let tried = 0
  for (let n = Math.max(0, Math.min(FIRST, (await fields.count()) - 1)); n < (await fields.count()); n += EVERY) {
    const field = fields.nth(n)
    await field.focus()
    await page.keyboard.press('Control+a')
    const most = Number((await field.getAttribute('maxlength')) ?? 99)
    const text = 'bat 47'.slice(0, most)
    await page.keyboard.type(text, { delay: FAST })
    const now = await field.inputValue()
    if (now !== text) lost.push(`${await field.evaluate((one) => one.getAttribute('aria-label') ?? one.id)}: “${now}”`)
    // A figure refuses words; what was there comes back. What was written goes on its way.
    await page.keyboard.press('Escape')
    await field.blur().catch(() => undefined)
    tried++
  }
  return { tried, lost }
}

test('every field of the tray keeps what is typed at 20 ms a key on a loaded machine, in every column', async ({ page, app }) => {
  await openSite(page, app, SITE)
  const order = page.getByRole('complementary', { name: 'Running order' })
  const tray = page.getByRole('region', { name: 'Tray' })
  await loaded(page)
  let tried = 0
  for (const kind of KINDS) {
    await page.keyboard.press('Escape')
    await order.getByRole('button', { name: 'Add a block' }).click()
    await page.getByRole('menuitem', { name: kind, exact: true }).click()
    // Blocks that take words are typed into on the page at once; their tray is what is looked at.
    await page.keyboard.press('Escape')
    await expect(fieldsIn(tray).first()).toBeVisible()
    const tabs = tray.getByRole('tab')
    for (let n = 0; n <= (await tabs.count()); n++) {
      const part = n === 0 ? tray : tray.getByRole('region').filter({ has: page.getByRole('tablist') })
      if (n > 0) await tabs.nth(n - 1).click()
      const found = await typeIntoAll(page, part)
      expect(found.lost, `${kind}, ${n}`).toEqual([])
      tried += found.tried
    }
  }
  expect(tried).toBeGreaterThan((10 / EVERY) * KINDS.length)
})

test('every field of the other screens does as well', async ({ page, app }) => {
  for (const [screen, least] of SCREENS) {
    await openScreen(page, app, SITE, screen)
    await loaded(page)
    if (screen === 'copy') await page.getByRole('button', { name: /^Search/ }).click()
    if (screen === 'references') await page.locator('[data-card=note]').getByRole('button').first().click()
    if (screen === 'check') await page.getByRole('tab', { name: 'Launch' }).click()
    const found = await typeIntoAll(page, page.locator('body'))
    expect([screen, found.lost]).toEqual([screen, []])
    expect(found.tried, screen).toBeGreaterThanOrEqual(Math.floor(least / EVERY))
  }
})

test('what was done on one screen is in the list on the next and after a reload, and any step can be gone back to', async ({
  page,
  app,
}) => {
  await openScreen(page, app, SITE, 'brief')
  await page.getByLabel('Who visits').fill('People who have never seen the night')
  await saved(page)
  await page.goto(addressOf(app, SITE), { waitUntil: 'commit' })
  await composed(page)
  const heading = page.frameLocator('[data-view="1280"] iframe').locator('h1')
  const before = await heading.innerText()
  await page.getByRole('complementary', { name: 'Running order' }).getByRole('button', { name: 'Add a section' }).click()
  await page.getByRole('menuitem', { name: 'Questions' }).click()
  await saved(page)
  await page.reload({ waitUntil: 'commit' })
  await composed(page)

  await page.getByRole('button', { name: 'What was done' }).click()
  const steps = page.getByRole('list', { name: 'Steps' }).getByRole('button')
  await expect(steps).toHaveCount(3)
  await expect(steps.nth(0)).toHaveAttribute('aria-current', 'step')
  await expect(steps.nth(1)).toContainText('brief: visitors')
  await steps.nth(2).click()
  await expect(steps.nth(2)).toHaveAttribute('aria-current', 'step')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible()
  await expect(heading).toHaveText(before)
  await saved(page)

  // Back on the first screen, its own step is done again there.
  await openScreen(page, app, SITE, 'brief')
  await expect(page.getByLabel('Who visits')).not.toHaveValue('People who have never seen the night')
  await page.getByRole('button', { name: 'Redo brief: visitors' }).click()
  await expect(page.getByLabel('Who visits')).toHaveValue('People who have never seen the night')
})

test('a new note is written at once, spaces and all; Enter leaves an empty quote and list of the deck', async ({ page, app }) => {
  await openScreen(page, app, SITE, 'references')
  const notes = page.locator('[data-card=note]')
  const count = await notes.count()
  await page.getByRole('button', { name: 'Note', exact: true }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('as warm as the stove', { delay: FAST })
  await expect(notes).toHaveCount(count + 1)
  await expect(notes.last()).toContainText('as warm as the stove')

  await page.goto(addressOf(app, SITE, 'copy'), { waitUntil: 'commit' })
  await awake(page)
  const deck = page.getByRole('textbox', { name: 'Copy deck' })
  await deck.click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type('\n## Trees\n\n> The lime is ours.\n', { delay: FAST })
  // One Enter went on with the quote; on its empty marker, the next leaves it.
  await page.keyboard.type('\n### What grows here\n\n- Limes\n', { delay: FAST })
  await page.keyboard.type('\n### What does not\n', { delay: FAST })
  const lines = (await deck.innerText()).split('\n').map((line) => line.trim())
  expect(lines).toContain('### What grows here')
  expect(lines).toContain('### What does not')
  expect(lines.filter((line) => /^[>-]$|^> >/.test(line))).toEqual([])

  await page.keyboard.type('\n> ## In a quote', { delay: FAST })
  await expect(page.getByText('part of the quote above: it begins no section')).toBeVisible()
})

test('a colour that the client wants is taken in three figures, and one that is none is refused with the reason', async ({
  page,
  app,
}) => {
  await openScreen(page, app, SITE, 'brief')
  const list = page.locator('[data-constraint=colour-wanted]')
  const count = await list.count()
  await page.getByRole('button', { name: /^Add a constraint: On every page/ }).click()
  await page.getByRole('menuitem', { name: 'Colour that must appear' }).click()
  await expect(list).toHaveCount(count + 1)
  const field = list.last().getByRole('textbox')
  await field.fill('#000')
  await field.press('Enter')
  await expect(field).toHaveValue('#000000')
  await field.fill('reedy')
  await field.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: '“reedy” is no colour' })).toBeVisible()
  await expect(field).toHaveValue('reedy')
  await field.press('Escape')
  await expect(field).toHaveValue('#000000')
})
