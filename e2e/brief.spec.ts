import type { Page } from '@playwright/test'
import { composed, expect, openScreen, openSite, saved, test } from './application'

const SITE = 'Hollin Ridge Observatory'

/** Opens a step of a page of the demo. */
async function openStep(page: Page, url: string, name: string, pageName?: string): Promise<void> {
  await openScreen(page, { url }, SITE, name.toLowerCase())
  if (pageName === undefined) return
  await page.getByRole('button', { name: 'Autumn nights', exact: true }).click()
  await page.getByRole('menuitem', { name: pageName, exact: true }).click()
}

const constraint = (page: Page, kind: string) => page.locator(`[data-constraint=${kind}]`)

test('constraints are put down, changed and taken away, each with its verdict on the page', async ({ page, app }) => {
  await openStep(page, app.url, 'Brief')
  await expect(page.getByText('4/4 kept')).toBeVisible()
  await expect(page.getByText('3/3 kept')).toBeVisible()

  await page.getByLabel('Navigation links, at most').fill('3')
  await page.getByLabel('Navigation links, at most').press('Enter')
  await expect(constraint(page, 'most-links')).toContainText(/The navigation has \d+ links; 3 at most are wanted/)
  await expect(page.getByText('2/3 kept')).toBeVisible()
  // The sentence leads to the navigation that it is about.
  await constraint(page, 'most-links')
    .getByRole('button', { name: /The navigation has/ })
    .click()

  await page.getByRole('button', { name: 'Add a constraint: On Autumn nights' }).click()
  await page.getByRole('menuitem', { name: 'One action only' }).click()
  await expect(constraint(page, 'one-action').locator('[data-verdict=broken]')).toContainText('buttons and links lead elsewhere')
  await page.getByRole('button', { name: 'Add a constraint: On every page' }).click()
  await page.getByRole('menuitem', { name: 'Colour that must not' }).click()
  const hex = constraint(page, 'colour-unwanted').last().getByRole('textbox')
  await hex.fill('ffd36b')
  await hex.press('Enter')
  await expect(constraint(page, 'colour-unwanted').last()).toContainText('#FFD36B is on the page, as accent.')
  await hex.fill('no colour')
  await hex.press('Tab')
  // What is none is refused with the reason, and stays to be corrected; Escape gives back what was there.
  await expect(page.getByRole('alert').filter({ hasText: '“no colour” is no colour' })).toBeVisible()
  await hex.press('Escape')
  await expect(hex).toHaveValue('#FFD36B')

  await page.getByRole('button', { name: /^Sections that must be there:/ }).click()
  await page.getByRole('menuitemcheckbox', { name: 'people' }).click()
  await page.keyboard.press('Escape')
  await expect(constraint(page, 'sections')).toContainText('Not on the page: people.')
  await page.getByRole('button', { name: 'Take away: One action only' }).click()
  await expect(constraint(page, 'one-action')).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(constraint(page, 'sections')).toContainText('Not on the page: people.')
})

test('the page with a single action keeps to its brief, until something leads away', async ({ page, app }) => {
  await openStep(page, app.url, 'Brief', 'Winter sky chart')
  await expect(page.getByText('What the opening of Winter sky chart answers')).toBeVisible()
  await expect(page.getByText('3/3 kept')).toBeVisible()
  await expect(constraint(page, 'one-action')).toContainText(/leads? to the form/)
  await expect(constraint(page, 'confirmation')).toContainText('confirmed on “Winter sky chart: thank you”, on the same site')
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Compose' }).click()
  await composed(page)
  const order = page.getByRole('complementary', { name: 'Running order' })
  await order.getByRole('button', { name: /^05 Footer/ }).click()
  await page.keyboard.press('s')
  await page.locator('[data-arrangement=footer-line]').click()
  await page.keyboard.press('a')
  await page.getByRole('navigation', { name: 'Job of the section' }).getByRole('button', { name: 'Header' }).click()
  await page.locator('[data-arrangement=header-split]').click()
  await saved(page)
  await page.getByRole('navigation', { name: 'Path of the work' }).getByRole('link', { name: 'Brief' }).click()
  await expect(constraint(page, 'most-links').locator('[data-verdict=broken]')).toContainText('There is a navigation')
})

test('findings of an audit are written down and ticked off by the section that answers them; the brief prints on one page', async ({
  page,
  app,
}) => {
  await openStep(page, app.url, 'Brief')
  await expect(page.getByText('3/4 answered')).toBeVisible()
  await page.getByRole('button', { name: 'Finding', exact: true }).click()
  const finding = page.locator('[data-answered]').last()
  await finding.getByLabel('What was found').fill('The opening times are an image')
  await finding.getByLabel('Where').fill('2009 page, at the right')
  await finding.getByLabel('What to do').fill('Write them out')
  await finding.getByRole('combobox', { name: 'How bad' }).click()
  await page.getByRole('option', { name: 'Grave' }).click()
  await finding.getByRole('combobox', { name: 'Answered by' }).click()
  await page.getByRole('option', { name: 'Plan, Autumn nights' }).click()
  await expect(page.getByText('4/5 answered')).toBeVisible()
  await expect(finding).toHaveAttribute('data-answered', 'true')
  await finding.getByRole('button', { name: 'Take this finding away' }).click()
  await expect(page.getByText('3/4 answered')).toBeVisible()

  const pdf = (await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })).toString(
    'latin1',
  )
  expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1)
})

test('the chooser is filtered by job and by length, and shows wide and narrow in the site’s own words', async ({ page, app }) => {
  await openSite(page, app, SITE)
  // The demo has a timetable of its own already.
  const timetables = page.getByRole('complementary', { name: 'Running order' }).getByRole('button', { name: /^\d\d Timetable/ })
  await expect(timetables).toHaveCount(1)
  await page.keyboard.press('a')
  const shown = page.locator('[data-shown]')
  await expect(shown).toHaveText('49 of 49')
  await page.getByRole('button', { name: 'Up to 60 words' }).click()
  await expect(shown).not.toHaveText('49 of 49')
  await page.getByRole('navigation', { name: 'Job of the section' }).getByRole('button', { name: 'Timetable' }).click()
  await expect(page.getByText('No arrangement of this job holds so many words.')).toBeVisible()
  await page.getByRole('button', { name: 'Any length' }).click()
  await expect(shown).toHaveText('2 of 49')
  await page.locator('[data-arrangement=timetable-rows]').click()
  const view = page.frameLocator('[data-view="375"] iframe')
  await expect(view.locator('[data-empty]').first()).toBeVisible()
  await expect(timetables).toHaveCount(2)

  await page.keyboard.press('s')
  const plate = page.locator('[data-arrangement=timetable-columns]')
  await expect(plate).toContainText('no words yet')
  // Plates are drawn one after the other, so both are waited for.
  const drawn = () =>
    plate
      .locator('span[inert] > span')
      .evaluateAll((all) => all.map((one) => (one.shadowRoot?.querySelectorAll('.page *').length ?? 0) > 5))
  await expect.poll(drawn).toEqual([true, true])
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+z')
  await expect(timetables).toHaveCount(1)
})
