import type { Page } from '@playwright/test'
import { composed, expect, openScreen, saved, test } from './application'

async function openCopy(page: Page, url: string): Promise<void> {
  await openScreen(page, { url }, 'Hollin Ridge Observatory', 'copy')
  await expect(page.locator('[data-deck]')).toContainText('Bring a coat')
}

const deck = (page: Page) => page.locator('[data-deck] .cm-content')
const counts = (page: Page) => page.locator('[data-counts]')

/** Pastes text into what has the focus. */
const paste = (page: Page, text: string) =>
  page.evaluate((value) => {
    const data = new DataTransfer()
    data.setData('text/plain', value)
    document.activeElement!.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
  }, text)

test('binary data and too much text are kept out of the deck, with a sentence, and nothing is lost', async ({ page, app }) => {
  await openCopy(page, app.url)
  await deck(page).getByText('Bring a coat. We will bring the galaxies.').click()
  await paste(page, 'PNG\u0000\u0001\u0002')
  await expect(page.getByText('What was pasted is binary data, not text. Nothing was changed.')).toBeVisible()
  await paste(page, 'word '.repeat(210_000))
  await expect(page.getByText(/A copy deck holds 1,000,000 characters at most/)).toBeVisible()
  await expect(counts(page)).toContainText('0 unplaced')
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible()
})

test('an import asks what becomes of pages that the site does not have, and refuses what is no text', async ({
  page,
  app,
  request,
}) => {
  await openCopy(page, app.url)
  await page.getByRole('button', { name: 'Import' }).click()
  const dialog = page.getByRole('dialog', { name: 'Import copy' })
  const file = dialog.locator('input[type=file]')
  await file.setInputFiles({ name: 'large.md', mimeType: 'text/markdown', buffer: Buffer.alloc(5 * 1024 * 1024, 'word ') })
  await expect(dialog.getByRole('alert')).toContainText(/“large.md” weighs 5\.0 MB; 3\.8 MB at most can be read/)
  await file.setInputFiles({ name: 'photo.txt', mimeType: 'text/plain', buffer: Buffer.from([0xff, 0xd8, 0xff, 0xe0]) })
  await expect(dialog.getByRole('alert')).toContainText('“photo.txt” is not text in UTF-8')
  await dialog
    .getByLabel('Text to import')
    .fill('# Autumn nights\n\n## Opening\n\n- Bring gloves\n\n# The 2009 page\n\n## Visits\n\n### Opening times')
  await expect(dialog.getByText('Some of its headings match no page of this site:')).toBeVisible()
  await dialog.getByRole('combobox', { name: 'What becomes of The 2009 page' }).click()
  await page.getByRole('option', { name: 'is kept, without a page' }).click()
  await dialog.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(page.getByText('“The 2009 page” is no page of this site. Its words are kept here.')).toBeVisible()
  await expect(page.locator('[data-unplaced]', { hasText: 'Bring gloves' })).toBeVisible()
  // The page had words that the document has not: they are kept, unplaced.
  await expect(page.locator('[data-unplaced]', { hasText: 'Bring a coat' })).toBeVisible()
  await saved(page)
  const id = /sites\/([\w-]+)/.exec(page.url())![1]!
  const answer = await request.post(`${app.url}/sites/${id}/copy-file`, { multipart: { other: 'x' } })
  expect(answer.status()).toBe(422)
  expect(await answer.json()).toEqual({ problem: 'The request holds no file.' })
})

test('a section’s heading is typed sign by sign without disturbing the page, and renames the section', async ({ page, app }) => {
  await openCopy(page, app.url)
  await page.getByRole('navigation', { name: 'Outline of the deck' }).getByRole('button', { name: 'Plan' }).click()
  await page.keyboard.press('End')
  await page.keyboard.type(' for the night')
  const panel = page.getByRole('region', { name: 'Where the words stand' })
  await expect(panel.getByRole('region', { name: 'Plan for the night' })).toBeVisible()
  await expect(counts(page)).toContainText('0 unplaced')
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Compose' }).click()
  await composed(page)
  await expect(
    page.getByRole('complementary', { name: 'Running order' }).getByRole('button', { name: /^04 Plan for the night/ }),
  ).toBeVisible()
})

test('emptied slots are counted and filled with marked placeholder words, which the checks find', async ({ page, app }) => {
  await openCopy(page, app.url)
  await deck(page).getByText('Two hours under one of the darkest skies', { exact: false }).first().click()
  await page.keyboard.press('Home')
  await page.keyboard.press('Shift+End')
  await page.keyboard.press('Shift+ArrowDown')
  await page.keyboard.press('Shift+End')
  await page.keyboard.press('Delete')
  await expect(counts(page)).toContainText('1 slot without')
  await expect(page.getByText('A slot for a text has no words.')).toBeVisible()
  await page.getByRole('button', { name: 'Fill empty slots with placeholder words' }).click()
  await expect(counts(page)).toContainText('0 slots without')
  await expect(page.getByText(/“‹.*” is a placeholder\./)).toBeVisible()
  await expect(page.frameLocator('[data-live="1280"] iframe').locator('main p', { hasText: '‹' })).toBeVisible()
  await saved(page)
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Deliver' }).click()
  await expect(page.getByText('1 slot has placeholder words.')).toBeVisible()
})

test('another language has a deck of its own for the same slots', async ({ page, app }) => {
  await openCopy(page, app.url)
  await page.getByRole('button', { name: 'Begin another language' }).click()
  await page.getByLabel('Tag of the language').fill('!')
  await page
    .getByRole('button', { name: /^Begin/ })
    .last()
    .click()
  await expect(page.getByText(/A language is named by its tag/)).toBeVisible()
  await page.getByLabel('Tag of the language').fill('cy')
  await page
    .getByRole('button', { name: /^Begin/ })
    .last()
    .click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Welsh' })).toHaveAttribute('aria-pressed', 'true')
  await expect(deck(page)).not.toContainText('Bring a coat')
  await page.getByRole('button', { name: 'Import' }).click()
  const dialog = page.getByRole('dialog', { name: 'Import copy' })
  await dialog.getByLabel('Text to import').fill('# Autumn nights\n\n## Opening\n\n### Dewch â chôt')
  await dialog.getByRole('button', { name: 'Import', exact: true }).click()
  const live = page.frameLocator('[data-live="1280"] iframe')
  await expect(live.locator('h1')).toHaveText('Dewch â chôt')
  await page.getByRole('button', { name: 'English' }).click()
  await expect(live.locator('h1')).toHaveText('Bring a coat. We will bring the galaxies.')
  await expect(deck(page)).toContainText('Bring a coat')
  await saved(page)
})
